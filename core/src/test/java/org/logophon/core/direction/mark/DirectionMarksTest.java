package org.logophon.core.direction.mark;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.text.reading.BracketedDirections;

class DirectionMarksTest {

    private static Optional<Mark> of(String text) {
        return BracketedDirections.in(text).stream()
                .findFirst()
                .flatMap(direction -> DirectionMarks.of(text, direction, "en-GB"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "[pause 1.5]       | pause | 1500 | a pause of 1.5 s",
                "[pause for 2 s]   | pause | 2000 | a pause of 2 s",
                "[Pause]           | pause | 1000 | a pause of 1 s",
                "(beat)            | pause | 500  | a pause of 0.5 s",
                "[a long pause]    | pause | 2000 | a pause of 2 s",
                "[pause, 0,8 sec]  | pause | 800  | a pause of 0.8 s",
            })
    void aPauseStandsAfterTheWordBeforeIt(String direction, String kind, String value, String told) {
        Mark mark = of("He counted " + direction + " seven ships.").orElseThrow();
        assertThat(mark.instruction().id()).isEqualTo(kind);
        assertThat(mark.instruction().value()).isEqualTo(value);
        assertThat(mark.start()).isEqualTo("He ".length());
        assertThat(mark.end()).isEqualTo("He counted".length());
        assertThat(DirectionMarks.told(mark)).isEqualTo(told);
    }

    @ParameterizedTest
    @CsvSource({"(whispering),whisper", "(softly),loudness", "(shouting),loudness", "(slowly),pace", "(faster),pace"})
    void aWayOfSpeakingHoldsToTheEndOfTheSentence(String direction, String kind) {
        String text = "He turned. " + direction + " Nobody is here. They left.";
        Mark mark = of(text).orElseThrow();
        assertThat(mark.instruction().id()).isEqualTo(kind);
        assertThat(text.substring(mark.start(), mark.end())).isEqualTo("Nobody is here");
    }

    @Test
    void theNextDirectionEndsIt() {
        String text = "(softly) Nobody is here, (loudly) nobody at all.";
        Mark mark = of(text).orElseThrow();
        assertThat(text.substring(mark.start(), mark.end())).isEqualTo("Nobody is here");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "[pause 1.5] At the start there is no gap.",
                "At the end there is none either [beat]",
                "He smiled (laughs) and left.",
                "[pause 99] is too long.",
                "Nothing follows. (whispering)"
            })
    void whatHasNoWordsOrNoMarkStaysADirection(String text) {
        assertThat(of(text)).isEmpty();
    }
}
