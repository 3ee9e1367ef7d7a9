package org.logophon.core.signal.pitch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;

class PitchMeterTest {

    /** A buzz of falling harmonics, as a glottis makes; the tolerance is 1 %, octave errors under 2 % of frames. */
    @ParameterizedTest
    @ValueSource(doubles = {70, 98.5, 140, 205, 311, 440})
    void measuresAKnownTone(double hertz) {
        PitchTrack track = PitchMeter.track(buzz(hertz, 22_050));
        assertThat(track.medianHz()).isCloseTo(hertz, within(hertz * 0.01));
        int wrong = 0;
        for (float value : track.hertz()) {
            wrong += value > 0 && Math.abs(PitchTrack.semitones(hertz, value)) > 6 ? 1 : 0;
        }
        assertThat(wrong).isLessThan(Math.max(1, track.hertz().length * 2 / 100));
        assertThat(track.voicedShare()).isGreaterThan(0.9);
    }

    @Test
    void noiseAndSilenceHaveNoPitch() {
        Random random = new Random(7);
        assertThat(PitchMeter.track(Tones.of(i -> random.nextGaussian() * 0.1, 1, 22_050))
                        .voicedShare())
                .isLessThan(0.1);
        assertThat(PitchMeter.track(new Sound(new float[22_050], 22_050)).medianHz())
                .isZero();
        assertThat(PitchMeter.track(new Sound(new float[10], 22_050)).hertz()).hasSize(1);
    }

    @Test
    void anOctaveIsTwelveSemitones() {
        assertThat(PitchTrack.semitones(110, 220)).isCloseTo(12, within(1e-9));
    }

    private static Sound buzz(double hertz, int rate) {
        return Tones.of(
                i -> {
                    double value = 0;
                    for (int h = 1; h * hertz < 4_000; h++) {
                        value += Math.sin(2 * Math.PI * h * hertz * i / rate + h) / h;
                    }
                    return 0.2 * value;
                },
                1,
                rate);
    }
}
