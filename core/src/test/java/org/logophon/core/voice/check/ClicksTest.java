package org.logophon.core.voice.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;

class ClicksTest {

    private static final int RATE = 22_050;

    private static Sound with(Sound sound, double leap, int... places) {
        float[] samples = sound.samples().clone();
        for (int place : places) {
            samples[place] += (float) leap;
        }
        return new Sound(samples, sound.rate());
    }

    @ParameterizedTest
    @ValueSource(ints = {16_000, 22_050, 48_000})
    void oneSampleThatLeapsOutIsFoundWhereItIs(int rate) {
        Sound tone = Tones.sine(180, -12, 1, rate);
        assertThat(Clicks.in(tone)).isEmpty();
        assertThat(Clicks.in(with(tone, 0.3, rate / 2)))
                .hasSize(1)
                .first()
                .satisfies(at -> assertThat(at).isCloseTo(0.5, within(0.001)));
    }

    @Test
    void clicksThatLieApartAreCountedAndNeighboursAreOne() {
        Sound tone = Tones.sine(180, -12, 1, RATE);
        assertThat(Clicks.in(with(tone, 0.4, 4_000, 12_000))).hasSize(2);
        assertThat(Clicks.in(with(tone, 0.4, 4_000, 4_020))).hasSize(1);
    }

    @Test
    void aVoicesPulsesAndNoiseAreNoClicks() {
        Sound pulses = Tones.of(i -> i % 180 == 0 ? 0.6 : 0, 1, RATE);
        assertThat(Clicks.in(pulses)).isEmpty();
        Random random = new Random(1);
        assertThat(Clicks.in(Tones.of(i -> 0.1 * random.nextGaussian(), 1, RATE)))
                .isEmpty();
    }

    @Test
    void silenceAndSoundsOfAFewSamplesHaveNone() {
        for (int samples : new int[] {0, 1, 2, 3, 10_000}) {
            assertThat(Clicks.in(new Sound(new float[samples], RATE))).isEmpty();
        }
    }
}
