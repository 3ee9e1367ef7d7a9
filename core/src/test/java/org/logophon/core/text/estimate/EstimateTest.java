package org.logophon.core.text.estimate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class EstimateTest {

    /** Dictionary syllables (hyphenation in any English dictionary), ±1 in ten words. */
    @Test
    void countsSyllables() {
        assertThat(Syllables.of("The quick brown fox jumps over the lazy dog", "en"))
                .isEqualTo(11);
        assertThat(Syllables.of("distilled water wrapped in acid-free paper", "en"))
                .isEqualTo(11);
        assertThat(Syllables.of("1,240", "en-US")).isEqualTo(8); // one thousand two hundred forty
        assertThat(Syllables.of("1,240", "en-GB")).isEqualTo(9); // one thousand two hundred and forty
        assertThat(Syllables.of("LED", "en")).isEqualTo(3);
    }

    @Test
    void withoutAVoiceThePracticeFigureHolds() {
        // 2,500 characters in about 3 minutes: common practice, no source
        assertThat(Estimate.seconds(2_500, new TextTime(700), 0, null, 1, 1)).isCloseTo(180, within(27.0));
    }

    @Test
    void aMeasuredVoiceAndPaceCount() {
        SpeakingRate rate = new SpeakingRate(0.9);
        assertThat(Estimate.seconds(43, new TextTime(11), 0, rate, 1, 1)).isCloseTo(11 * 0.9, within(1e-9));
        // at 85 % a clip lasts 1.176 times as long: common practice, no source
        assertThat(Estimate.seconds(43, new TextTime(11), 0, rate, 0.85, 0.85)
                        / Estimate.seconds(43, new TextTime(11), 0, rate, 1, 1))
                .isCloseTo(1.176, within(0.001));
        assertThat(Estimate.seconds(0, new TextTime(0), 0, null, 1, 1)).isZero();
    }

    @Test
    void phrasingAddsItsRestsAndRestsGiveWayLessThanWords() {
        SpeakingRate rate = new SpeakingRate(1, 1);
        TextTime time = new TextTime(11, 10, 3);
        assertThat(Estimate.seconds(43, time, 100, rate, 1, 1)).isCloseTo(13, within(1e-9));
        assertThat(Estimate.seconds(43, time, 50, rate, 1, 1)).isCloseTo(12, within(1e-9));
        assertThat(Estimate.seconds(43, time, 100, rate, 2, 2)).isCloseTo(5 + 3 * Math.pow(2, -0.7), within(1e-9));
        // a slow voice's rests are at most 1.2 times as long: ours
        assertThat(Estimate.seconds(43, time, 100, rate, 0.5, 0.5)).isCloseTo(20 + 3 * 1.2, within(1e-9));
    }
}
