package org.logophon.app.steps.direct;

import java.util.Arrays;
import java.util.List;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.mark.MarkKind;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.text.reading.Reading;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The table of kinds of marks, for pages: they know no limit of their own. */
@RestController
class MarkKindController {

    record MarkKinds(List<MarkKindAnswer> kinds, List<PronunciationAnswer> pronunciations, int longestReading) {}

    /** @param typed whether what is said is typed */
    record PronunciationAnswer(String id, String title, boolean typed) {

        static PronunciationAnswer of(PronunciationKind kind) {
            return new PronunciationAnswer(kind.id(), kind.title(), kind.typed());
        }
    }

    /** @param least of its number; null with the others for a kind that has none */
    record MarkKindAnswer(
            String id,
            boolean onGap,
            Integer least,
            Integer most,
            Double step,
            Integer neutral,
            String unit,
            double nudge,
            double fineNudge,
            List<String> choices) {

        static MarkKindAnswer of(MarkKind kind) {
            Dial dial = kind.dial();
            return dial == null
                    ? new MarkKindAnswer(kind.id(), kind.onGap(), null, null, null, null, "", 0, 0, kind.choices())
                    : new MarkKindAnswer(
                            kind.id(),
                            kind.onGap(),
                            dial.least(),
                            dial.most(),
                            dial.step(),
                            dial.neutral(),
                            dial.unit(),
                            kind.nudge(),
                            kind.fineNudge(),
                            kind.choices());
        }
    }

    @GetMapping("/mark-kinds")
    MarkKinds kinds() {
        return new MarkKinds(
                Arrays.stream(MarkKind.values()).map(MarkKindAnswer::of).toList(),
                Arrays.stream(PronunciationKind.values())
                        .map(PronunciationAnswer::of)
                        .toList(),
                Reading.LONGEST);
    }
}
