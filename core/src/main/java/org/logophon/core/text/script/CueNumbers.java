package org.logophon.core.text.script;

import org.logophon.core.input.InvalidInput;

/**
 * The numbering of cues: start, step, width, and a prefix. The defaults give 010, 020, 030.
 *
 * @param start  first number, 0 or more
 * @param step   distance between neighbours, 1 or more
 * @param width  digits at least, 1 to 9; filled with zeros
 * @param prefix put before the digits, often empty
 */
public record CueNumbers(int start, int step, int width, String prefix) {

    public static final int HIGHEST_START = 999_999;
    public static final int LONGEST_STEP = 1_000;
    public static final int MOST_DIGITS = 9;
    public static final int LONGEST_PREFIX = 12;

    public static final CueNumbers DEFAULT = new CueNumbers(10, 10, 3, "");

    public CueNumbers {
        if (start < 0 || start > HIGHEST_START) {
            throw new InvalidInput("Cue numbers start at 0 to %d, not at %d.".formatted(HIGHEST_START, start));
        }
        if (step < 1 || step > LONGEST_STEP) {
            throw new InvalidInput("Cue numbers step by 1 to %d, not by %d.".formatted(LONGEST_STEP, step));
        }
        if (width < 1 || width > MOST_DIGITS) {
            throw new InvalidInput("Cue numbers are 1 to %d digits wide, not %d.".formatted(MOST_DIGITS, width));
        }
    }

    /** The number of the cue at a zero-based position. */
    public String at(int position) {
        String digits = Long.toString(start + (long) step * position);
        return prefix + "0".repeat(Math.max(0, width - digits.length())) + digits;
    }
}
