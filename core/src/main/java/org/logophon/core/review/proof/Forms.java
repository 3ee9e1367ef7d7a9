package org.logophon.core.review.proof;

import java.util.List;
import org.logophon.core.review.proof.Suggestion.Act;
import org.logophon.core.text.normalization.Letters;
import org.logophon.core.text.normalization.Sureness;
import org.logophon.core.text.normalization.WrittenForm;
import org.logophon.core.text.normalization.WrittenForms;

/** Numbers, dates, acronyms and their like: is each said as a reader would say it? */
final class Forms implements Check {

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        for (WrittenForm form : WrittenForms.in(cue.language()).find(cue.text())) {
            if (!cue.settled(form.start(), form.end())) {
                found.add(finding(cue, form));
            }
        }
    }

    private static Finding finding(CueToProof cue, WrittenForm form) {
        String written = cue.text().substring(form.start(), form.end());
        String said = form.said().get(0);
        List<Suggestion> suggestions = form.said().stream()
                .map(way -> new Suggestion(way.equals(Letters.spaced(written)) ? Act.LETTERS : Act.SAY, way))
                .toList();
        return new Finding(
                form.start(),
                form.end(),
                written,
                FindingKind.of(form.kind()),
                reason(form, said),
                said,
                suggestions,
                form.sureness() != Sureness.ASK,
                form.sureness());
    }

    private static String reason(WrittenForm form, String said) {
        return switch (form.sureness()) {
            case SURE -> "It is said “" + said + "”.";
            case LIKELY -> "It is said “" + said + "”; another way is possible.";
            case ASK -> "Which is meant? Until you say, it is said “" + said + "”.";
        };
    }
}
