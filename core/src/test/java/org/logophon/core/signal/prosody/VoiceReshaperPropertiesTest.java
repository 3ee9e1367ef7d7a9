package org.logophon.core.signal.prosody;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.logophon.core.signal.effect.Effect;
import org.logophon.core.signal.effect.Effects;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;

/** Whatever is asked of whatever sound: as long as was asked, and nothing that isn't a sample. */
class VoiceReshaperPropertiesTest {

    private static Sound sound(int seed, int length) {
        Random random = new Random(seed);
        double hertz = 60 + random.nextInt(400);
        double noise = random.nextDouble() * 0.3;
        int quietFrom = random.nextInt(Math.max(1, length));
        return Tones.of(
                i -> i > quietFrom && i < quietFrom + 2_000
                        ? 0
                        : 0.4 * Math.sin(2 * Math.PI * hertz * i / 16_000) + noise * random.nextGaussian(),
                length / 16_000.0,
                16_000);
    }

    @Property(tries = 120, seed = "1")
    void theLengthIsWhatPaceMakesOfItAndEverySampleIsOne(
            @ForAll int seed,
            @ForAll @IntRange(max = 16_000) int length,
            @ForAll @DoubleRange(min = 0.25, max = 4) double pace,
            @ForAll @DoubleRange(min = -18, max = 18) double semitones,
            @ForAll @DoubleRange(max = 3) double range,
            @ForAll @DoubleRange(min = -3, max = 3) double timbre) {
        Sound sound = sound(seed, length);
        Sound made = VoiceReshaper.reshape(sound, new Shape(pace, semitones, range, timbre));
        assertThat(made.samples().length).isEqualTo((int) Math.round(sound.samples().length / pace));
        for (float sample : made.samples()) {
            assertThat(Float.isFinite(sample) && Math.abs(sample) < 8).isTrue();
        }
    }

    @Property(tries = 60, seed = "1")
    void anEffectOfAnySoundIsASound(
            @ForAll int seed,
            @ForAll @IntRange(max = 9_000) int length,
            @ForAll Effect effect,
            @ForAll @IntRange(max = 100) int mix) {
        Sound sound = sound(seed, length);
        Sound made = Effects.apply(sound, effect, mix);
        assertThat(made.samples().length).isGreaterThanOrEqualTo(sound.samples().length);
        for (float sample : made.samples()) {
            assertThat(Float.isFinite(sample)).isTrue();
        }
    }
}
