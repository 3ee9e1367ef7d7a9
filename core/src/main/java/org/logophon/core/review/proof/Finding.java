package org.logophon.core.review.proof;

import java.util.List;
import org.logophon.core.text.normalization.Sureness;

/**
 * Something to look at in a cue.
 *
 * @param start    UTF-16 index in the cue's text
 * @param text     the words it is about
 * @param reason   why, as a sentence
 * @param wouldSay what would be said as it stands; empty where nothing wrong would be heard
 * @param right    true when nobody needs to do anything about it: it is said by a rule
 * @param sureness of that rule; null for what is no written form
 */
public record Finding(
        int start,
        int end,
        String text,
        FindingKind kind,
        String reason,
        String wouldSay,
        List<Suggestion> suggestions,
        boolean right,
        Sureness sureness) {

    public Finding {
        suggestions = List.copyOf(suggestions);
    }

    /** Something to look at that is no written form. */
    public Finding(
            int start,
            int end,
            String text,
            FindingKind kind,
            String reason,
            String wouldSay,
            List<Suggestion> suggestions,
            boolean right) {
        this(start, end, text, kind, reason, wouldSay, suggestions, right, null);
    }
}
