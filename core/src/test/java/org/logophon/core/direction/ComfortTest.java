package org.logophon.core.direction;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ComfortTest {

    @ParameterizedTest
    @CsvSource({"1, 0", "0.7, 4", "1.4, -4"})
    void aVoiceAtEaseIsNotTalkedAbout(double pace, double semitones) {
        assertThat(Comfort.warning(new ResolvedDirection(pace, semitones, 0, 400)))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1.5 | 0 | At pace 150 % words run together",
                "0.6 | 0 | At pace 60 % words fall apart",
                "1 | -5 | At pitch −5.0 st the voice sounds like another",
                "1.5 | 6 | With pace 150 % and pitch +6.0 st together"
            })
    void whatIsBeyondIsOneSentence(double pace, double semitones, String said) {
        assertThat(Comfort.warning(new ResolvedDirection(pace, semitones, 0, 400)))
                .hasValueSatisfying(sentence -> assertThat(sentence).startsWith(said));
    }
}
