package org.logophon.core.time.caption;

import java.util.List;

/**
 * One caption: one or two lines shown together.
 *
 * @param startMillis from the programme's start
 * @param speaker     the role that says it; empty for none
 */
public record Caption(long startMillis, long endMillis, List<String> lines, String speaker) {

    public Caption {
        lines = List.copyOf(lines);
    }

    /** How fast it has to be read, line breaks counted as one. */
    public double charactersPerSecond() {
        return String.join(" ", lines).length() * 1_000.0 / Math.max(1, endMillis - startMillis);
    }

    /** Faster than most can read. */
    public boolean fast() {
        return charactersPerSecond() > Captions.CHARACTERS_PER_SECOND + 0.05;
    }

    /** One that nobody in particular says. */
    public Caption(long startMillis, long endMillis, List<String> lines) {
        this(startMillis, endMillis, lines, "");
    }
}
