package org.logophon.core.review.suggest;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;

/** Rules of thumb of reading aloud: common practice, no source. */
class SuggestionsTest {

    private static List<String> of(String text, Marks own) {
        return Suggestions.of(text, "en-GB", own).all().stream()
                .filter(mark -> !mark.heard())
                .map(mark -> mark.instruction().id() + " " + mark.instruction().value() + " "
                        + text.substring(mark.start(), mark.end()))
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Its lens weighs 2.3 t. | pace 90 2.3",
                "The trust of Skerrow Head paid for it. | pace 94 Skerrow Head",
                "It was not the sea but the wind. | stress moderate sea; stress moderate wind",
                "It was the wind, not the sea. | stress moderate wind; stress moderate sea",
                "The crew have one tide to lift it, and the sling is rated for most of it. | pause 250 it",
                "At last, the men who had carried every one of the forty boxes up the stair sat down. | "
                        + "pause 450 last; breath normal last",
                "A lamp. | ''"
            })
    void eachRuleFindsItsPlace(String text, String expected) {
        assertThat(of(text, Marks.NONE))
                .containsExactlyInAnyOrderElementsOf(expected.isEmpty() ? List.of() : List.of(expected.split("; ")));
    }

    @Test
    void sentencesDifferALittle() {
        assertThat(of(
                        "The lamp was lit at dusk by the old keeper. Fog came. Nobody slept that night in the tower.",
                        Marks.NONE))
                .containsExactly("pace 97 Fog came", "pace 103 Nobody slept that night in the tower");
    }

    @Test
    void besidePhrasingOnlyWhatThatDoesNotDoIsProposed() {
        String clauses = "The crew have one tide to lift it, and the sling is rated for most of it.";
        assertThat(Suggestions.besidePhrasing(clauses, "en-GB", Marks.NONE).all())
                .isEmpty();
        String weight = "Its lens weighs 2.3 t.";
        assertThat(Suggestions.besidePhrasing(weight, "en-GB", Marks.NONE))
                .isEqualTo(Suggestions.of(weight, "en-GB", Marks.NONE));
        String breath = "At last, the men who had carried every one of the forty boxes up the stair sat down.";
        assertThat(Suggestions.besidePhrasing(breath, "en-GB", Marks.NONE).all())
                .as("a breath wants more room than a comma's rest")
                .hasSize(2);
    }

    @Test
    void theUsersMarksAreNeverOverwritten() {
        String text = "Its lens weighs 2.3 t.";
        Marks own = new Marks(List.of(Mark.own(0, text.length() - 1, new Instruction.Pace(80))));
        assertThat(of(text, own)).isEmpty();
        assertThat(Suggestions.of(text, "en-GB", own)).isEqualTo(own);
        Marks once = Suggestions.of(text, "en-GB", Marks.NONE);
        assertThat(Suggestions.of(text, "en-GB", once)).as("twice is once").isEqualTo(once);
        assertThat(once.all()).allSatisfy(mark -> assertThat(mark.reason()).isNotBlank());
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "!!!", "not", "not but", "a, not", "1", "Äöü. Ölé, 早上好。"})
    void oddTextsAreNoTrouble(String text) {
        assertThat(Suggestions.of(text, "en-GB", Marks.NONE).on(text))
                .isEqualTo(Suggestions.of(text, "en-GB", Marks.NONE));
    }
}
