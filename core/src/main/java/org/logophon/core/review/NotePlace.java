package org.logophon.core.review;

import java.util.List;
import java.util.Optional;
import org.logophon.core.text.script.TextDiff;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;

/**
 * The word that a note stands on, and the text that it was found in.
 *
 * @param start UTF-16 index of the word in {@code text}
 * @param end   after its last letter
 */
public record NotePlace(String text, int start, int end) {

    public NotePlace {
        if (start < 0 || end <= start || end > text.length()) {
            throw new IllegalArgumentException("no place in the text");
        }
    }

    /** The word. */
    public String word() {
        return text.substring(start, end);
    }

    /** Where the word stands in another text; empty when it isn't there any more. */
    public Optional<NotePlace> in(String other) {
        if (other.equals(text)) {
            return Optional.of(this);
        }
        int from = TextDiff.of(text, other).movedWord(start);
        int to = from + word().length();
        boolean there = from >= 0 && other.startsWith(word(), from);
        boolean longer = there && to < other.length() && Character.isLetterOrDigit(other.charAt(to));
        return there && !longer ? Optional.of(new NotePlace(other, from, to)) : Optional.empty();
    }

    /** Which word of its text it is, counted from 0; the nearest one before where it stands on none. */
    public int index() {
        List<Word> words = Words.of(text);
        int at = 0;
        for (int i = 0; i < words.size(); i++) {
            at = words.get(i).start() <= start ? i : at;
        }
        return at;
    }
}
