package org.logophon.core.review.proof;

import java.util.List;
import java.util.Set;
import org.logophon.core.review.proof.Suggestion.Act;
import org.logophon.core.text.script.Word;

/** The same word twice in a row. */
final class DoubledWords implements Check {

    /** Doubled on purpose often enough: he had had enough; very, very cold. */
    private static final Set<String> MEANT =
            Set.of("had", "that", "very", "no", "bye", "ha", "so", "now", "there", "on");

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        List<Word> words = cue.words();
        for (int i = 1; i < words.size(); i++) {
            Word first = words.get(i - 1);
            Word second = words.get(i);
            String word = second.in(cue.text());
            if (word.equalsIgnoreCase(first.in(cue.text()))
                    && cue.text().substring(first.end(), second.start()).isBlank()
                    && !MEANT.contains(word.toLowerCase(java.util.Locale.ROOT))
                    && Character.isLetter(word.codePointAt(0))) {
                String once = first.in(cue.text());
                found.add(new Finding(
                        first.start(),
                        second.end(),
                        cue.text().substring(first.start(), second.end()),
                        FindingKind.DOUBLED_WORD,
                        "“" + word + "” stands here twice.",
                        cue.text().substring(first.start(), second.end()),
                        List.of(new Suggestion(Act.WRITE, once)),
                        false));
            }
        }
    }
}
