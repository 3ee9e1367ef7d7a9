package org.logophon.core.signal.prosody;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;

class VoiceReshaperTest {

    private static final int RATE = 22_050;
    /** 180 Hz over 120 Hz, in semitones. */
    private static final double FIFTH = 7.02;

    /** A voice-like tone that glides a fifth: 24 harmonics that fall by 6 dB an octave, with noise before and after. */
    private static Sound glide(double fromHz, double toHz) {
        double[] phase = {0};
        Sound voiced = Tones.of(
                i -> {
                    phase[0] += 2 * Math.PI * fromHz * Math.pow(toHz / fromHz, i / (2.0 * RATE)) / RATE;
                    double sum = 0;
                    for (int h = 1; h <= 24; h++) {
                        sum += Math.sin(h * phase[0]) / h;
                    }
                    return 0.2 * sum;
                },
                2,
                RATE);
        java.util.Random random = new java.util.Random(3);
        Sound noise = Tones.of(i -> 0.02 * random.nextGaussian(), 0.3, RATE);
        return Tones.joined(noise, voiced, noise);
    }

    private static double spread(Sound sound) {
        float[] hertz = PitchMeter.track(sound).hertz();
        double most = 0;
        double least = 1e9;
        for (float value : hertz) {
            if (value > 0) {
                most = Math.max(most, value);
                least = Math.min(least, value);
            }
        }
        return PitchTrack.semitones(least, most);
    }

    @Test
    void whatIsAskedForNothingIsGivenBackUntouched() {
        Sound sound = glide(120, 180);
        assertThat(VoiceReshaper.reshape(sound, Shape.AS_IT_IS)).isSameAs(sound);
    }

    @Test
    void grainsAtTheirOwnPlacesAddUpToTheSound() {
        Sound sound = glide(120, 180);
        // so small a shift takes the whole way through marks and grains
        float[] out = VoiceReshaper.reshape(sound, new Shape(1, 0, 1, 0.0011)).samples();
        double off = 0;
        for (int i = 2_000; i < out.length - 2_000; i++) {
            off = Math.max(off, Math.abs(out[i] - sound.samples()[i]));
        }
        assertThat(off).isLessThan(0.02);
    }

    @ParameterizedTest
    @CsvSource({"-6", "-3", "-0.5", "0.5", "3", "6"})
    void pitchMovesByWhatIsAsked(double semitones) {
        Sound sound = glide(120, 180);
        Sound moved = VoiceReshaper.reshape(sound, new Shape(1, semitones, 1, 0));
        assertThat(PitchTrack.semitones(
                        PitchMeter.track(sound).medianHz(),
                        PitchMeter.track(moved).medianHz()))
                .isCloseTo(semitones, within(0.15));
        assertThat(moved.samples()).hasSameSizeAs(sound.samples());
        assertThat(spread(moved)).as("the shape of the melody stays").isCloseTo(FIFTH, within(0.4));
    }

    @ParameterizedTest
    @CsvSource({"0.5", "0.6", "0.85", "1.25", "1.6", "2"})
    void paceChangesTheTimeAndNotThePitch(double pace) {
        Sound sound = glide(120, 180);
        Sound faster = VoiceReshaper.reshape(sound, new Shape(pace, 0, 1, 0));
        assertThat(faster.seconds()).isCloseTo(sound.seconds() / pace, within(0.001));
        assertThat(PitchTrack.semitones(
                        PitchMeter.track(sound).medianHz(),
                        PitchMeter.track(faster).medianHz()))
                .isCloseTo(0, within(0.2));
    }

    @Test
    void rangeNoughtIsMonotoneAndTwoIsTwiceAsLively() {
        Sound sound = glide(120, 180);
        assertThat(spread(VoiceReshaper.reshape(sound, new Shape(1, 0, 0, 0)))).isLessThan(0.5);
        assertThat(spread(VoiceReshaper.reshape(sound, new Shape(1, 0, 2, 0)))).isCloseTo(2 * FIFTH, within(1.0));
    }

    @Test
    void noJointIsAClick() {
        Sound sound = glide(110, 165);
        double own = step(sound);
        for (Shape shape : new Shape[] {new Shape(0.7, 3, 1, 0), new Shape(1.4, -4, 0.5, 2), new Shape(1, 0, 1, -3)}) {
            assertThat(step(VoiceReshaper.reshape(sound, shape)))
                    .as(shape.toString())
                    .isLessThan(1.7 * own);
        }
    }

    private static double step(Sound sound) {
        double most = 0;
        for (int i = 1; i < sound.samples().length; i++) {
            most = Math.max(most, Math.abs(sound.samples()[i] - sound.samples()[i - 1]));
        }
        return most;
    }

    @Test
    void oddSoundsComeThrough() {
        Shape shape = new Shape(1.3, 2, 0.5, 1);
        assertThat(VoiceReshaper.reshape(new Sound(new float[0], RATE), shape).samples())
                .isEmpty();
        assertThat(VoiceReshaper.reshape(new Sound(new float[7], RATE), shape).samples())
                .hasSize(5);
        assertThat(VoiceReshaper.reshape(Tones.of(i -> i % 2 == 0 ? 1 : -1, 0.5, RATE), shape)
                        .samples())
                .doesNotContain(Float.NaN);
        assertThatThrownBy(() -> new Shape(Double.NaN, 0, 1, 0)).isInstanceOf(IllegalArgumentException.class);
    }
}
