package org.logophon.core.time.timecode;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.input.InvalidInput;

/** Timecode (SMPTE ST 12-1): written strictly, read forgivingly. */
public final class Timecode {

    private static final Pattern COLONS = Pattern.compile("(-?)(\\d{1,3}[:;.,](?:\\d{1,2}[:;.,]){0,2}\\d{1,3})");
    private static final Pattern DIGITS = Pattern.compile("(-?)(\\d{1,8})");
    private static final Pattern SECONDS = Pattern.compile("([+-]?)(\\d{1,6}(?:[.,]\\d{1,6})?)\\s*s(?:ec(?:onds?)?)?");
    private static final Pattern FRAMES = Pattern.compile("([+-])(\\d{1,7})(?:\\s*f(?:rames?)?)?");

    private Timecode() {}

    /**
     * What was typed, in frames from 00:00:00:00.
     *
     * @param from    what a step counts from: {@code +12} is twelve frames on, {@code -00:00:01:00} a second back
     * @param wrapped true when it was past 24 hours, and begins again
     */
    public record Typed(long frame, boolean wrapped) {}

    /** {@code 01:02:03:04}, with {@code ;} before the frames in drop-frame; past 24 hours it begins again. */
    public static String written(long frame, FrameRate rate) {
        long at = Math.floorMod(frame, rate.framesADay());
        long counted = withDropped(at, rate);
        long second = counted / rate.counted();
        return String.format(
                Locale.ROOT,
                "%02d:%02d:%02d%s%02d",
                second / 3600,
                second / 60 % 60,
                second % 60,
                rate.drop() ? ";" : ":",
                counted % rate.counted());
    }

    /** The number that a frame bears: those that are left out are counted, too. */
    private static long withDropped(long frame, FrameRate rate) {
        if (!rate.drop()) {
            return frame;
        }
        int dropped = rate.dropped();
        long minute = 60L * rate.counted() - dropped;
        long ten = 10 * minute + dropped;
        long tens = frame / ten;
        long rest = frame % ten;
        // the first minute of ten has all of its frames
        long minutes = rest < minute + dropped ? 0 : 1 + (rest - minute - dropped) / minute;
        return frame + dropped * (9 * tens + minutes);
    }

    /**
     * Reads {@code 1:2:3:4}, {@code 1020304}, {@code 62.5s}, {@code +12} (frames), {@code -00:00:01:00}.
     *
     * @param from where a step begins, in frames
     * @throws InvalidInput with a sentence when it is none, or names a frame that drop-frame leaves out
     */
    public static Typed typed(String text, FrameRate rate, long from) {
        String typed = text.strip();
        Matcher seconds = SECONDS.matcher(typed.toLowerCase(Locale.ROOT));
        if (seconds.matches()) {
            double value = Double.parseDouble(seconds.group(2).replace(',', '.'));
            long frames = Math.round(value * rate.frames() / rate.seconds());
            return seconds.group(1).isEmpty()
                    ? within(frames, rate)
                    : within(from + (seconds.group(1).equals("-") ? -frames : frames), rate);
        }
        Matcher step = FRAMES.matcher(typed.toLowerCase(Locale.ROOT));
        boolean few = step.matches()
                && (step.group(2).length() < 5 || typed.toLowerCase(Locale.ROOT).contains("f"));
        if (few) {
            long frames = Long.parseLong(step.group(2));
            return within(from + (step.group(1).equals("-") ? -frames : frames), rate);
        }
        boolean forward = typed.startsWith("+");
        String rest = forward ? typed.substring(1) : typed;
        Matcher colons = COLONS.matcher(rest);
        if (colons.matches()) {
            String[] parts = colons.group(2).split("[:;.,]");
            return counted(text, parts, !colons.group(1).isEmpty(), forward, rate, from);
        }
        Matcher digits = DIGITS.matcher(rest);
        if (digits.matches()) {
            String all = "0".repeat(8 - digits.group(2).length()) + digits.group(2);
            String[] parts = {all.substring(0, 2), all.substring(2, 4), all.substring(4, 6), all.substring(6)};
            return counted(text, parts, !digits.group(1).isEmpty(), forward, rate, from);
        }
        throw new InvalidInput("\"" + shortened(text)
                + "\" is no timecode. Write it as 01:02:03:04, as digits, as seconds (62.5s), or as "
                + "a step (+12 frames).");
    }

    private static Typed counted(
            String text, String[] parts, boolean back, boolean forward, FrameRate rate, long from) {
        long[] values = new long[4];
        for (int i = 0; i < parts.length; i++) {
            values[4 - parts.length + i] = Long.parseLong(parts[i]);
        }
        if (values[1] > 59 || values[2] > 59 || values[3] >= rate.counted()) {
            throw new InvalidInput("\"" + shortened(text) + "\" is no timecode at " + rate.label()
                    + ": minutes and seconds go to 59, frames to " + (rate.counted() - 1) + ".");
        }
        boolean step = back || forward;
        long minutes = values[0] * 60 + values[1];
        boolean leftOut = rate.drop() && !step && values[2] == 0 && values[3] < rate.dropped() && minutes % 10 != 0;
        if (leftOut) {
            throw new InvalidInput("\"" + shortened(text) + "\" doesn't exist in drop-frame: the next frame is "
                    + String.format(Locale.ROOT, "%02d:%02d:00;%02d", values[0] % 24, values[1], rate.dropped()) + ".");
        }
        long number = (minutes * 60 + values[2]) * rate.counted() + values[3];
        long frame = number - rate.dropped() * (minutes - minutes / 10);
        return within(step ? from + (back ? -frame : frame) : frame, rate);
    }

    private static Typed within(long frame, FrameRate rate) {
        if (frame < 0) {
            throw new InvalidInput("That is before 00:00:00:00. Take a smaller step.");
        }
        return new Typed(frame % rate.framesADay(), frame >= rate.framesADay());
    }

    private static String shortened(String text) {
        return text.length() <= 40 ? text : text.substring(0, 40) + "…";
    }
}
