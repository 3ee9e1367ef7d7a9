package org.logophon.core.review.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.text.reading.ReadingList;
import org.logophon.core.text.script.ScriptCue;

class OtherLanguagesTest {

    private static final Proof PROOF = new Proof(List.of(), new DetectedLanguage(), List.of());

    private static List<FindingKind> kinds(String text) {
        return PROOF.of(CueToProof.of(text, "en-US", ScriptCue.MOST_CHARACTERS, ReadingList.NONE)).stream()
                .map(Finding::kind)
                .toList();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Der Turm war alt, und die Lampe brannte in der Nacht.",
                "Man fand die alte Lampe in einem Haus am Meer und nahm sie mit.",
                "Am Abend wird das Licht der Lampe so hell, dass man es im Hafen sieht.",
                "La lampe est dans la tour, et la nuit est longue.",
                "La luz del faro es vieja, pero no se apaga nunca.",
                "La luce del faro non si spegne mai di notte."
            })
    void aShortPasteInAnotherLanguageIsOneFinding(String text) {
        assertThat(kinds(text)).containsExactly(FindingKind.LANGUAGE);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Haha… hmm",
                "Ffion Aldous met Morwenna at Skerrow Head, and they lit the lamp.",
                "Skerrow, Penhallow, Tregarth and Lanterna are names of headlands here.",
                "A keeper, a lamp, a log: no more was needed in Porthgwarra."
            })
    void namesInEnglishAreNoOtherLanguage(String text) {
        assertThat(kinds(text)).doesNotContain(FindingKind.LANGUAGE);
    }
}
