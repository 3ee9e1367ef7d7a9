package org.logophon.core.review.proof;

import java.util.List;
import java.util.stream.Collectors;
import org.logophon.core.text.heteronym.Heteronym;
import org.logophon.core.text.heteronym.Heteronyms;
import org.logophon.core.text.normalization.Sureness;

/** Words of one spelling and two pronunciations: the likely one is said, and the other is a press away. */
final class Homographs implements Check {

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        if (!cue.english()) {
            return;
        }
        for (Heteronym word : Heteronyms.in(cue.text())) {
            if (!cue.settled(word.start(), word.end())) {
                found.add(finding(word, cue.text().substring(word.start(), word.end())));
            }
        }
    }

    private static Finding finding(Heteronym word, String written) {
        String others = word.senses().stream()
                .skip(1)
                .map(sense -> "“%s” (%s)".formatted(sense.said(), sense.meaning()))
                .collect(Collectors.joining(", or "));
        Heteronym.Sense likely = word.senses().get(0);
        return new Finding(
                word.start(),
                word.end(),
                written,
                FindingKind.HOMOGRAPH,
                "It is said “%s” (%s); it could be %s.".formatted(likely.said(), likely.meaning(), others),
                likely.said(),
                word.senses().stream()
                        .map(sense -> Suggestion.say(sense.said()))
                        .toList(),
                true,
                Sureness.LIKELY);
    }
}
