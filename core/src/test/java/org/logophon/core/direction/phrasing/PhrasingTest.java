package org.logophon.core.direction.phrasing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;

/** Figures are ours, after the classes of Campione and Véronis (2002, from memory): brief, medium, long. */
class PhrasingTest {

    private static List<String> said(String text, String language) {
        return Phrasing.of(text, language).parts().stream()
                .map(part -> text.substring(part.start(), part.end()) + " | " + part.sentence())
                .toList();
    }

    private static double restAfter(String word, String text, String language) {
        return Phrasing.of(text, language).parts().stream()
                .filter(part ->
                        part.onGap() && text.substring(part.start(), part.end()).equals(word))
                .mapToDouble(part -> ((PhraseMove.Rest) part.move()).seconds())
                .findFirst()
                .orElse(0);
    }

    @Test
    void eachSignHasItsRest() {
        String text = "One, two; three: four – five (six) seven… Eight. Nine? Ten! Eleven.\n\nTwelve.";
        assertThat(List.of("One", "two", "three", "four", "five", "six", "seven", "Eight", "Nine", "Ten", "Eleven"))
                .map(word -> restAfter(word, text, "en-GB"))
                .containsExactly(0.22, 0.38, 0.38, 0.30, 0.30, 0.30, 0.65, 0.60, 0.70, 0.60, 0.90);
        assertThat(restAfter("Twelve", text, "en-GB")).isZero();
    }

    @Test
    void dotsAndCommasInsideWordsAreNoRests() {
        String text = "Dr. Hale came at 4:52 with 38,500 in cash, e.g. in No. 4 of the B.B.C. building.";
        assertThat(Phrasing.of(text, "en-GB").parts().stream().filter(PhrasePart::onGap))
                .extracting(part -> text.substring(part.start(), part.end()))
                .containsExactly("cash");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "en-GB | You are leaving? | rises",
                "en-GB | Are you going to Marlow? | rises",
                "en-GB | Where are you going? | falls",
                "en-GB | And where are you going? | falls",
                "en-GB | In which room is it? | falls",
                "en-GB | You know it, don't you? | falls",
                "en-GB | Do you want tea or milk? | falls",
                "en-GB | You are leaving. | falls",
                "en-GB | Leave it! | falls",
                "de | Kommst du morgen? | rises",
                "de | Wann kommst du? | falls",
                "de | Es ist spät, nicht wahr? | falls",
                "fr | Tu viens demain ? | rises",
                "fr | Où vas-tu ? | falls",
                "es | ¿Vienes mañana? | rises",
                "es | ¿Dónde está la llave? | falls",
                "it | Vieni domani? | rises",
                "it | Dove vai? | falls",
                "pl | Idziesz jutro? | rises",
            })
    void questionsRiseUnlessTheyAskWithAWordATagOrAChoice(String language, String text, String way) {
        assertThat(said(text, language).stream().filter(part -> part.contains(" by ")))
                .last()
                .asString()
                .contains(": " + way);
    }

    @Test
    void aListRisesButForItsLast() {
        assertThat(said("We bought lamps, ropes, oil and bread.", "en-GB"))
                .containsExactly(
                        "lamps | item of a list: 0.18 s",
                        "lamps | item of a list: rises by 1.5 st",
                        "ropes | item of a list: 0.18 s",
                        "ropes | item of a list: rises by 1.5 st",
                        "bread | full stop: falls by 4.0 st");
    }

    @Test
    void whatIsPutInIsLowerAndWhatIsQuotedHigher() {
        assertThat(said("The keeper (a quiet man) slept. “Who goes?” he asked. It – so they say – was out.", "en"))
                .contains(
                        "a quiet man | parenthesis: lower, quicker, softer",
                        "Who goes | quotation: higher, livelier",
                        "so they say | dash: lower, quicker, softer",
                        // the sentence goes on after it
                        "goes | comma: 0.22 s");
        assertThat(said("“Nobody sleeps tonight.”", "en")).noneMatch(part -> part.contains("quotation"));
    }

    @Test
    void whatWasSaidLosesItsStressAndWhatDiffersGainsIt() {
        assertThat(said("The north gate, not the south gate, was open.", "en"))
                .contains("north | contrast: stressed", "south | contrast: stressed")
                .contains("gate | said before: without stress");
        // three sentences on it is news again
        assertThat(said("A lamp. It was dark. We waited. Somebody came. The lamp burned.", "en"))
                .noneMatch(part -> part.contains("said before"));
    }

    @Test
    void aLongClausePartsWhereAnotherBeginsAndNeverInsideANounPhrase() {
        String text = "He said that he had lived in this town for most of his life and that the harbour was never as "
                + "empty as it was on that morning.";
        assertThat(restAfter("life", text, "en")).isEqualTo(0.15);
        assertThat(Phrasing.of(text, "en").parts().stream().filter(PhrasePart::onGap))
                .hasSize(1);
        String goods =
                "They carried the great brass lamp and heavy iron tools and thick woollen blankets up steep narrow "
                        + "wooden stairs.";
        assertThat(Phrasing.of(goods, "en").parts().stream().filter(PhrasePart::onGap))
                .isEmpty();
    }

    @Test
    void germanCommasAreGrammarAndRestLess() {
        assertThat(restAfter("sagte", "Er sagte, dass es spät sei.", "de")).isLessThan(0.16);
        assertThat(restAfter("dit", "Il dit, plus tard, que non.", "fr")).isEqualTo(0.22);
    }

    @Test
    void aMarkTakesThePlaceOfWhatItSaysItself() {
        String text = "Wait, the lamp is out.";
        Phrasing phrasing = Phrasing.of(text, "en");
        assertThat(phrasing.under(List.of(Mark.own(0, 4, new Instruction.Pause(1_000))))
                        .parts())
                .noneMatch(PhrasePart::onGap);
        Mark pitch = Mark.own(0, 4, new Instruction.Pitch(-2));
        assertThat(phrasing.under(List.of(pitch)).parts())
                .noneMatch(part -> part.start() == 0 && part.move() instanceof PhraseMove.Ending)
                .anyMatch(PhrasePart::onGap);
        // one that holds more words lies on top
        assertThat(phrasing.under(List.of(Mark.own(0, text.length() - 1, new Instruction.Pitch(-2))))
                        .parts())
                .isEqualTo(phrasing.parts());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"''", "…", "?!?", "(((", "—", "a", "漢字。です？", "« »", ",,,,", "\u0000."})
    void oddTextsEndInAPhrasing(String text) {
        assertThat(Phrasing.of(text, "en")).isNotNull();
        assertThat(Phrasing.of(text, "ja")).isNotNull();
    }
}
