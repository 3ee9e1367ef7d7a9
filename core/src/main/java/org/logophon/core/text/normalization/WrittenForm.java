package org.logophon.core.text.normalization;

import java.util.List;

/**
 * A written form with the ways to say it.
 *
 * @param start UTF-16 index of its first character
 * @param end   index after its last
 * @param said  ways to say it, the most usual first; never empty
 */
public record WrittenForm(int start, int end, FormKind kind, List<String> said, Sureness sureness) {

    public WrittenForm {
        if (said.isEmpty()) {
            throw new IllegalArgumentException("A written form has at least one way to say it.");
        }
        said = said.stream().distinct().toList();
    }

    /** One that is as sure as it has ways to be said. */
    WrittenForm(int start, int end, FormKind kind, List<String> said) {
        this(start, end, kind, said, said.stream().distinct().count() == 1 ? Sureness.SURE : Sureness.LIKELY);
    }
}
