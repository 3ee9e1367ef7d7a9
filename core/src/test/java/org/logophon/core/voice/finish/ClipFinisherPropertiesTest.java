package org.logophon.core.voice.finish;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.loudness.TruePeak;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;
import org.logophon.core.voice.render.Measurement;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.WordTime;

class ClipFinisherPropertiesTest {

    private final ClipFinisher finishing = new ClipFinisher((sound, rate) -> sound);

    /** Speech-like: bursts with sharp onsets, so that the limiter has work at high targets. */
    private static Speech bursts(long seed) {
        Random random = new Random(seed);
        Sound sound = Tones.of(
                i -> {
                    double burst = Math.exp(-(i % 9_600) / 2_000.0);
                    return 0.5 * burst * (Math.sin(i * 0.03) + 0.4 * random.nextGaussian());
                },
                3,
                48_000);
        return new Speech(sound, List.of(new WordTime(0, 1, 0, 144_000)), Measurement.NEUTRAL);
    }

    @Property(tries = 60, seed = "1")
    void noClipPassesTheCeilingAndEachIsAsLoudAsAskedOrSaysHowLoud(
            @ForAll long seed,
            @ForAll @DoubleRange(min = -40, max = -6) double target,
            @ForAll @DoubleRange(min = -12, max = 6) double offset) {
        Clip clip = finishing.finish(bursts(seed), FinishSettings.to(target), offset);
        assertThat(TruePeak.of(clip.sound().inMemory().samples())).isLessThanOrEqualTo(Decibels.toFactor(-1) + 1e-6);
        double measured = LoudnessMeter.of(clip.sound().inMemory()).lufs();
        assertThat(clip.loudness().lufs()).as("what the clip says of itself").isCloseTo(measured, within(0.05));
        // never louder than asked; quieter only where the ceiling leaves no more room
        assertThat(measured).isLessThanOrEqualTo(target + offset + 0.1);
        if (measured < target + offset - 0.1) {
            assertThat(clip.truePeakDbtp()).isCloseTo(-1, within(0.05));
        }
        if (target + offset < -24) {
            assertThat(measured).isCloseTo(target + offset, within(0.1));
        }
    }

    @Property(tries = 30, seed = "1")
    void finishingIsRepeatable(@ForAll long seed) {
        float[] once = finishing
                .finish(bursts(seed), FinishSettings.to(-16.0), 0)
                .sound()
                .inMemory()
                .samples();
        assertThat(java.util.Arrays.equals(
                        once,
                        finishing
                                .finish(bursts(seed), FinishSettings.to(-16.0), 0)
                                .sound()
                                .inMemory()
                                .samples()))
                .isTrue();
    }
}
