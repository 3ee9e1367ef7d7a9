package org.logophon.core.review.proof;

import java.util.List;
import java.util.Locale;
import org.logophon.core.text.dictionary.Dictionary;
import org.logophon.core.text.normalization.WrittenForm;
import org.logophon.core.text.normalization.WrittenForms;
import org.logophon.core.text.script.Word;

/**
 * English words in no dictionary: names mostly. Words side by side are one finding, a name of two words is one name.
 */
final class UnknownWords implements Check {

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        if (!cue.english()) {
            return;
        }
        List<WrittenForm> forms = WrittenForms.in(cue.language()).find(cue.text());
        int start = -1;
        int end = -1;
        int nextForm = 0;
        for (Word word : cue.words()) {
            // both are in the order of the text
            while (nextForm < forms.size() && forms.get(nextForm).end() <= word.start()) {
                nextForm++;
            }
            boolean inForm = nextForm < forms.size() && forms.get(nextForm).start() < word.end();
            boolean unknown = !inForm && !known(word.in(cue.text())) && !cue.settled(word.start(), word.end());
            boolean beside = start >= 0
                    && cue.text().substring(end, word.start()).isBlank()
                    && capital(cue.text(), word)
                    && capital(cue.text(), start);
            if (unknown && beside) {
                end = word.end();
            } else if (unknown) {
                add(cue, start, end, found);
                start = word.start();
                end = word.end();
            } else {
                add(cue, start, end, found);
                start = -1;
            }
        }
        add(cue, start, end, found);
    }

    private static void add(CueToProof cue, int start, int end, List<Finding> found) {
        if (start >= 0) {
            String text = cue.text().substring(start, end).replaceFirst("['’]s?$", "");
            List<Suggestion> suggestions = WordOrigin.of(text)
                    .map(origin -> List.of(new Suggestion(Suggestion.Act.LANGUAGE, origin.tag())))
                    .orElse(List.of());
            found.add(new Finding(
                    start,
                    start + text.length(),
                    text,
                    FindingKind.UNKNOWN_WORD,
                    "Not in the dictionary. Play the guess, or respell it.",
                    text.toLowerCase(Locale.ROOT),
                    suggestions,
                    false));
        }
    }

    private static boolean capital(String text, Word word) {
        return capital(text, word.start());
    }

    private static boolean capital(String text, int at) {
        return Character.isUpperCase(text.codePointAt(at));
    }

    /** A hyphenated word is known when each of its parts is. */
    private static boolean known(String word) {
        int at = 0;
        while (at < word.length()) {
            int end = part(word, at);
            if (end - at > 1
                    && !Dictionary.english().knows(word.substring(at, end).toLowerCase(Locale.ROOT))) {
                return false;
            }
            at = end > at ? end : at + Character.charCount(word.codePointAt(at));
        }
        return true;
    }

    /**
     * After the letters from a place on, with apostrophes between them. A pattern would go as deep as there are
     * apostrophes.
     */
    private static int part(String word, int from) {
        int at = from;
        boolean apostrophe = false;
        while (at < word.length()) {
            int c = word.codePointAt(at);
            boolean letter = Character.isLetter(c) || at > from && !apostrophe && mark(c);
            if (!letter && !(at > from && !apostrophe && (c == '\'' || c == '’'))) {
                break;
            }
            apostrophe = !letter;
            at += Character.charCount(c);
        }
        return apostrophe ? at - 1 : at;
    }

    private static boolean mark(int c) {
        int kind = Character.getType(c);
        return kind == Character.NON_SPACING_MARK
                || kind == Character.COMBINING_SPACING_MARK
                || kind == Character.ENCLOSING_MARK;
    }
}
