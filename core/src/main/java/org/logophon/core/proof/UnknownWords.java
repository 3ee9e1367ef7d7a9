package org.logophon.core.proof;

import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.dictionary.Dictionary;
import org.logophon.core.form.WrittenForm;
import org.logophon.core.form.WrittenForms;
import org.logophon.core.script.Word;

/**
 * English words in no dictionary: names mostly. Words side by side are one finding, a name of two words is one name.
 */
final class UnknownWords implements Check {

    private static final Pattern PART = Pattern.compile("\\p{L}[\\p{L}\\p{M}]*(?:['’]\\p{L}+)*");

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        if (!cue.english()) {
            return;
        }
        List<WrittenForm> forms = WrittenForms.in(cue.language()).find(cue.text());
        int start = -1;
        int end = -1;
        for (Word word : cue.words()) {
            boolean unknown = !known(word.in(cue.text()))
                    && !cue.settled(word.start(), word.end())
                    && forms.stream().noneMatch(form -> form.start() < word.end() && form.end() > word.start());
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
            found.add(new Finding(
                    start,
                    start + text.length(),
                    text,
                    FindingKind.UNKNOWN_WORD,
                    "Not in the dictionary. Hear the guess, or respell it.",
                    text.toLowerCase(Locale.ROOT),
                    List.of(),
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
        Matcher parts = PART.matcher(word);
        while (parts.find()) {
            String part = parts.group();
            if (part.length() > 1 && !Dictionary.english().knows(part.toLowerCase(Locale.ROOT))) {
                return false;
            }
        }
        return true;
    }
}
