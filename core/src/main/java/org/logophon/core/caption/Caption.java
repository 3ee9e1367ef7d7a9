package org.logophon.core.caption;

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

    /** One that nobody in particular says. */
    public Caption(long startMillis, long endMillis, List<String> lines) {
        this(startMillis, endMillis, lines, "");
    }
}
