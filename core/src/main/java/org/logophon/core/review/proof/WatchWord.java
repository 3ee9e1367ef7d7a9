package org.logophon.core.review.proof;

import java.util.List;
import org.logophon.core.input.InvalidInput;

/**
 * A word or phrase that its user wants to avoid.
 *
 * @param avoid   found as whole words, capitals apart
 * @param instead what to write instead; may be empty
 * @param note    why, may be empty
 */
public record WatchWord(String avoid, List<String> instead, String note) {

    public static final int LONGEST = 100;

    public WatchWord {
        avoid = avoid == null ? "" : avoid.strip().replaceAll("\\s+", " ");
        instead = instead.stream()
                .map(String::strip)
                .filter(word -> !word.isEmpty())
                .toList();
        note = note == null ? "" : note.strip();
        if (avoid.isEmpty() || avoid.length() > LONGEST) {
            throw new InvalidInput("A word to avoid has 1 to " + LONGEST + " characters.");
        }
    }
}
