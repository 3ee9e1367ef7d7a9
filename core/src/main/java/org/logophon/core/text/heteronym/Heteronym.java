package org.logophon.core.text.heteronym;

import java.util.List;

/**
 * A word of two pronunciations in a text.
 *
 * @param start  UTF-16 index
 * @param senses the likeliest first
 */
public record Heteronym(int start, int end, List<Sense> senses) {

    /**
     * One of its pronunciations.
     *
     * @param said    spelled so that engines say it so; the word as written where they do anyway
     * @param meaning as a dictionary puts it
     */
    public record Sense(String said, String meaning) {}

    public Heteronym {
        senses = List.copyOf(senses);
    }

    /** What the likeliest is said as. */
    public String said() {
        return senses.get(0).said();
    }
}
