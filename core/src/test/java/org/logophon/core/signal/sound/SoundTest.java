package org.logophon.core.signal.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class SoundTest {

    private static Sound silence(double seconds) {
        return new Sound(new float[(int) Math.round(seconds * 22_050)], 22_050);
    }

    @Test
    void speechStartsAndEndsWhereItSounds() {
        Sound sound = Tones.joined(silence(0.5), Tones.sine(200, -12, 1, 22_050), silence(0.25));
        SpeechSpan span = SpeechSpan.of(sound);
        assertThat(span.from() / 22_050.0).isCloseTo(0.5, within(0.002));
        assertThat(span.to() / 22_050.0).isCloseTo(1.5, within(0.002));
        assertThat(span.widened(0.02, sound).from()).isEqualTo(span.from() - 441);
        assertThat(span.widened(10, sound)).isEqualTo(new SpeechSpan(0, sound.samples().length));
    }

    @Test
    void soundingTimeLeavesPausesOutAndKeepsTheClosureOfAConsonant() {
        Sound twice = Tones.joined(Tones.sine(200, -12, 1, 22_050), silence(0.5), Tones.sine(200, -12, 1, 22_050));
        assertThat(SpeechSpan.soundingSeconds(twice)).isCloseTo(2, within(0.01));
        Sound closure = Tones.joined(Tones.sine(200, -12, 1, 22_050), silence(0.03), Tones.sine(200, -12, 1, 22_050));
        assertThat(SpeechSpan.soundingSeconds(closure)).isCloseTo(2.03, within(0.01));
    }

    @Test
    void silenceHasNoSpeech() {
        SpeechSpan span = SpeechSpan.of(silence(1));
        assertThat(span.to() - span.from()).isZero();
        assertThat(SpeechSpan.of(new Sound(new float[0], 22_050))).isEqualTo(new SpeechSpan(0, 0));
    }

    @Test
    void peaksAreAHundredASecondAndReachTheEnd() {
        byte[] peaks = Peaks.of(Tones.joined(silence(0.1), Tones.sine(1_000, 0, 0.105, 22_050)));
        assertThat(peaks).hasSize(21);
        assertThat(peaks[5]).isZero();
        assertThat(peaks[15] & 0xff).isBetween(250, 255);
    }

    @Test
    void decibelsAndFactorsAreInverse() {
        // twice the amplitude is 6.02 dB: 20·log10(2)
        assertThat(Decibels.ofFactor(2)).isCloseTo(6.0206, within(1e-4));
        assertThat(Decibels.toFactor(Decibels.ofFactor(0.3))).isCloseTo(0.3, within(1e-12));
        assertThat(Decibels.ofFactor(0)).isEqualTo(Double.NEGATIVE_INFINITY);
    }

    @Test
    void pcmKeepsItsValues() {
        Sound sound = Sound.ofPcm16(new short[] {-32768, 0, 16384}, 22_050);
        assertThat(sound.samples()).containsExactly(-1f, 0f, 0.5f);
        assertThatThrownBy(() -> new Sound(new float[1], 0)).hasMessageContaining("1,000 to 768,000");
    }
}
