package org.logophon.core.review.proof;

import java.util.List;

/**
 * Something to look at in a cue.
 *
 * @param start    UTF-16 index in the cue's text
 * @param text     the words it is about
 * @param reason   why, as a sentence
 * @param wouldSay what would be said as it stands; empty where nothing wrong would be heard
 * @param right    true when it would be said as the first suggestion has it: known, but nothing to do
 */
public record Finding(
        int start,
        int end,
        String text,
        FindingKind kind,
        String reason,
        String wouldSay,
        List<Suggestion> suggestions,
        boolean right) {

    public Finding {
        suggestions = List.copyOf(suggestions);
    }
}
