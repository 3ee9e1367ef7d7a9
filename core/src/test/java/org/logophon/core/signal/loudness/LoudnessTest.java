package org.logophon.core.signal.loudness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.logophon.core.signal.sound.Tones.joined;
import static org.logophon.core.signal.sound.Tones.sine;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;

class LoudnessTest {

    /** ITU-R BS.1770-5, Annex 1: 0 dBFS at 997 Hz in one front channel reads −3.01 LKFS. */
    @ParameterizedTest
    @ValueSource(ints = {16_000, 22_050, 44_100, 48_000, 96_000})
    void fullScaleSineReadsMinusThree(int rate) {
        assertThat(LoudnessMeter.of(sine(997, 0, 5, rate)).lufs()).isCloseTo(-3.01, within(0.05));
    }

    /** ITU-R BS.1770-5, Annex 1, tables 1 and 2: the coefficients printed for 48 kHz, by memory: the tables
     * are unverified, the meter itself is held against another implementation in the command line's tests. */
    @Test
    void filtersAreThePrintedOnesAt48Kilohertz() {
        KWeighting filter = new KWeighting(48_000);
        assertThat(filter.shelf())
                .containsExactly(
                        new double[] {
                            1.53512485958697, -2.69169618940638, 1.19839281085285, -1.69065929318241, 0.73248077421585
                        },
                        within(1e-7));
        assertThat(filter.highPass()).containsExactly(new double[] {-1.99004745483398, 0.99007225036621}, within(1e-7));
    }

    /**
     * EBU Tech 3341 (2023), table 1, signals 1 to 5: stereo 1 kHz sines ±0.1 LU. Levels and lengths
     * by memory: the table is unverified.
     */
    @Test
    void ebuTech3341Signals() {
        assertStereo(-23, sine(1000, -23, 20, 48_000));
        assertStereo(-33, sine(1000, -33, 20, 48_000));
        assertStereo(-23, sine(1000, -36, 10, 48_000), sine(1000, -23, 60, 48_000), sine(1000, -36, 10, 48_000));
        assertStereo(
                -23,
                sine(1000, -72, 10, 48_000),
                sine(1000, -36, 10, 48_000),
                sine(1000, -23, 60, 48_000),
                sine(1000, -36, 10, 48_000),
                sine(1000, -72, 10, 48_000));
        assertStereo(-23, sine(1000, -26, 20, 48_000), sine(1000, -20, 20.1, 48_000), sine(1000, -26, 20, 48_000));
    }

    private static void assertStereo(double lufs, Sound... parts) {
        float[] mono = joined(parts).samples();
        float[] stereo = new float[2 * mono.length];
        for (int i = 0; i < mono.length; i++) {
            stereo[2 * i] = mono[i];
            stereo[2 * i + 1] = mono[i];
        }
        LoudnessMeter meter = new LoudnessMeter(48_000, 2);
        for (int at = 0; at < stereo.length; at += 9_600) {
            int length = Math.min(9_600, stereo.length - at);
            meter.add(java.util.Arrays.copyOfRange(stereo, at, at + length), length);
        }
        assertThat(meter.loudness().lufs()).isCloseTo(lufs, within(0.1));
    }

    @Test
    void underFourHundredMillisecondsIsThePlainMeanAndSaysSo() {
        Loudness brief = LoudnessMeter.of(sine(997, -20, 0.3, 48_000));
        assertThat(brief.gated()).isFalse();
        assertThat(brief.lufs()).isCloseTo(-23, within(0.3));
        assertThat(LoudnessMeter.of(new Sound(new float[48_000], 48_000)).silent())
                .isTrue();
    }

    /**
     * EBU Tech 3341, signal 15: a quarter-rate sine at 0.5, sampled 45° off its crests, has its true peak at −6 dBTP,
     * +0.2/−0.4 dB.
     */
    @Test
    void truePeakLiesBetweenSamples() {
        Sound offCrest = Tones.of(i -> 0.5 * Math.sin(Math.PI / 2 * i + Math.PI / 4), 1, 48_000);
        assertThat(Decibels.ofFactor(TruePeak.of(offCrest.samples()))).isBetween(-6.4, -5.8);
    }

    @Test
    void inPiecesTheTruePeakIsTheSame() {
        Sound sound = Tones.of(i -> 0.7 * Math.sin(0.9 * i) * Math.sin(0.001 * i), 0.2, 48_000);
        for (int piece : new int[] {1, 7, 11, 64, 1000}) {
            TruePeak meter = new TruePeak();
            for (int at = 0; at < sound.samples().length; at += piece) {
                int length = Math.min(piece, sound.samples().length - at);
                meter.add(java.util.Arrays.copyOfRange(sound.samples(), at, at + length), length);
            }
            meter.add(new float[12], 12);
            assertThat(meter.peak()).isCloseTo(TruePeak.of(sound.samples()), within(1e-6));
        }
    }

    @Test
    void theLimiterKeepsTheCeilingAndLeavesQuietSoundAlone() {
        double ceiling = Decibels.toFactor(-1);
        Sound loud = joined(sine(220, -12, 0.5, 48_000), sine(311, 4, 0.05, 48_000), sine(220, -12, 0.5, 48_000));
        float[] limited = new PeakLimiter(48_000, ceiling).limit(loud.samples());
        assertThat(TruePeak.of(limited)).isLessThanOrEqualTo(ceiling * 1.01);
        assertThat(limited[4_000]).isCloseTo(loud.samples()[4_000], within(1e-3f));
        Sound quiet = sine(220, -12, 0.5, 48_000);
        assertThat(new PeakLimiter(48_000, ceiling).limit(quiet.samples())).isEqualTo(quiet.samples());
    }
}
