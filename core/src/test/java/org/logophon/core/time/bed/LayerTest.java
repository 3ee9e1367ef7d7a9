package org.logophon.core.time.bed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.logophon.core.signal.loudness.EnergyProfile;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.loudness.TruePeak;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.signal.sound.Tones;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;

/**
 * What lies under a programme, measured: levels by ITU-R BS.1770-5, attack and release by the level of a steady tone.
 */
class LayerTest {

    private static final int RATE = SampleCount.RATE;
    private static final double VOICE_LUFS = -19;
    /** Somebody speaks from 3 to 11, 14 to 20 and 26 to 37 seconds of 40. */
    private static final double[][] SPOKEN = {{3, 11}, {14, 20}, {26, 37}};

    private static final SampleCount LENGTH = new SampleCount(40L * RATE);

    private static VoiceSpans voice() {
        return VoiceSpans.of(
                new Programme<>(Stream.of(SPOKEN)
                        .map(span -> new PlacedClip<>("", at(span[0]), at(span[1] - span[0]), SampleCount.ZERO))
                        .toList()),
                clip -> List.of());
    }

    private static SampleCount at(double seconds) {
        return SampleCount.nearest(seconds);
    }

    private static HeardSound heard(Sound sound) {
        SoundSource source = SoundSource.of(sound);
        return new HeardSound(source, EnergyProfile.of(source), 0);
    }

    private static Layer under(Sound sound, Bed.Settings settings) {
        return Layer.of(
                LENGTH,
                voice(),
                VOICE_LUFS,
                List.of(new Bed(heard(sound), SampleCount.ZERO, LENGTH, settings)),
                List.of());
    }

    private static double lufs(Layer layer) {
        LoudnessMeter meter = new LoudnessMeter(RATE, 1);
        for (double[] span : SPOKEN) {
            float[] samples = layer.stretch(span[0], span[1]).samples();
            meter.add(samples, samples.length);
        }
        return meter.loudness().lufs();
    }

    private static double decibels(Layer layer, double from, double to) {
        return Decibels.ofFactor(rms(layer.stretch(from, to)));
    }

    private static double rms(Sound sound) {
        return sound.rms(0, sound.samples().length);
    }

    private static Sound tone() {
        return Tones.of(i -> 0.2 * Math.sin(2 * Math.PI * 1_000 * i / RATE), 5, RATE);
    }

    static Stream<Arguments> sounds() {
        return MadeSounds.ALL.stream()
                .flatMap(made -> Stream.of(-12.0, -18.0, -30.0).map(level -> Arguments.of(made.name(), level)));
    }

    @ParameterizedTest
    @MethodSource("sounds")
    void underTheVoiceItIsAsLoudAsAskedWithinOneDecibel(String name, double level) {
        Sound sound = MadeSounds.ALL.stream()
                .filter(made -> made.name().equals(name))
                .findFirst()
                .orElseThrow()
                .sound()
                .get();
        Layer layer = under(sound, new Bed.Settings(true, 0, 0, level, 9));
        assertThat(lufs(layer)).isCloseTo(VOICE_LUFS + level, within(1.0));
    }

    @Test
    void itIsDownWhenTheVoiceBeginsAndUpAgainFourTenthsOfASecondAfterIt() {
        Layer layer = under(tone(), new Bed.Settings(true, 0, 0, -18, 9));
        double down = decibels(layer, 15, 19);
        assertThat(decibels(layer, 13.6, 13.94)).as("before it").isCloseTo(down + 9, within(0.1));
        assertThat(decibels(layer, 13.975, 13.976))
                .as("half of 50 ms before it")
                .isCloseTo(down + 4.5, within(0.5));
        assertThat(decibels(layer, 14.0, 14.05)).as("when it begins").isCloseTo(down, within(0.1));
        assertThat(decibels(layer, 19.95, 20)).as("when it ends").isCloseTo(down, within(0.1));
        assertThat(decibels(layer, 20.2, 20.201)).as("half of 400 ms after it").isCloseTo(down + 4.5, within(0.5));
        assertThat(decibels(layer, 20.4, 23.4)).as("after it").isCloseTo(down + 9, within(0.1));
    }

    @Test
    void itComesAndGoesAsLongAsAsked() {
        Layer layer = under(tone(), new Bed.Settings(true, 2_000, 3_000, -18, 0));
        double full = decibels(layer, 10, 11);
        assertThat(decibels(layer, 0, 0.01)).isLessThan(full - 40);
        assertThat(decibels(layer, 0.999, 1.001))
                .as("half-way, by a squared sine")
                .isCloseTo(full - 6, within(0.3));
        assertThat(decibels(layer, 2, 2.1)).isCloseTo(full, within(0.05));
        assertThat(decibels(layer, 36.8, 37)).isCloseTo(full, within(0.05));
        assertThat(decibels(layer, 38.499, 38.501)).isCloseTo(full - 6, within(0.3));
        assertThat(decibels(layer, 39.99, 40)).isLessThan(full - 40);
    }

    @Test
    void againAndAgainItHasNoSeamAndOnceItEnds() {
        Random chance = new Random(5);
        Sound noise = Tones.of(i -> 0.1 * chance.nextGaussian(), 5, RATE);
        Layer looped = under(noise, new Bed.Settings(true, 0, 0, -18, 0));
        double mean = decibels(looped, 1, 39);
        for (double second = 1; second < 39; second += 0.1) {
            assertThat(decibels(looped, second, second + 0.1))
                    .as("at %s", second)
                    .isCloseTo(mean, within(1.0));
        }
        Layer once = under(noise, new Bed.Settings(false, 0, 0, -18, 0));
        assertThat(decibels(once, 4, 4.9)).isCloseTo(decibels(once, 1, 2), within(0.5));
        assertThat(rms(once.stretch(5.0, 40.0))).isZero();
    }

    @Test
    void aSoundInAGapKeepsItsLengthAndItsLevel() {
        GapSound sound = new GapSound(heard(tone()), at(11.5), at(1.5), -10);
        Layer layer = Layer.of(LENGTH, voice(), VOICE_LUFS, List.of(), List.of(sound));
        assertThat(rms(layer.stretch(0, 11.5))).isZero();
        assertThat(rms(layer.stretch(13.0, 40.0))).isZero();
        LoudnessMeter meter = new LoudnessMeter(RATE, 1);
        float[] heard = layer.stretch(11.5, 13.0).samples();
        meter.add(heard, heard.length);
        assertThat(meter.loudness().lufs()).isCloseTo(VOICE_LUFS - 10, within(0.3));
        assertThat(layer.length()).isEqualTo(LENGTH.samples());
        GapSound last = new GapSound(heard(tone()), LENGTH, at(1.5), -10);
        assertThat(Layer.of(LENGTH, voice(), VOICE_LUFS, List.of(), List.of(last))
                        .length())
                .as("a sound after the last word is heard to its end")
                .isEqualTo(LENGTH.plus(at(1.5)).samples());
    }

    /** Speech-like bursts, brought up to the ceiling, as clips are. */
    private static Sound bursts(long seed) {
        Random random = new Random(seed);
        Sound sound = Tones.of(
                i -> Math.exp(-(i % 9_600) / 2_000.0) * (Math.sin(i * 0.03) + 0.4 * random.nextGaussian()), 4, RATE);
        double factor = Decibels.toFactor(-1) / TruePeak.of(sound.samples());
        return Tones.of(i -> sound.samples()[i] * factor, 4, RATE);
    }

    @Property(tries = 6, seed = "1")
    void howeverLoudItIsTheCeilingHoldsAndTheVoiceStays(
            @ForAll long seed, @ForAll @DoubleRange(min = 0.05, max = 1.5) double loud) {
        Random chance = new Random(seed);
        Sound voice = bursts(seed);
        Sound bed = Tones.of(i -> loud * chance.nextGaussian(), 5, RATE);
        SoundSource mix = VoiceWithBed.mix(SoundSource.of(voice), SoundSource.of(bed));
        Sound heard = mix.inMemory();
        assertThat(Decibels.ofFactor(TruePeak.of(heard.samples()))).isLessThanOrEqualTo(-1 + 0.01);
        Sound alone =
                VoiceWithBed.alone(SoundSource.of(voice), SoundSource.of(bed)).inMemory();
        assertThat(rms(alone)).as("it is still heard").isGreaterThan(0.01);
        for (int i = 0; i < voice.samples().length; i += 7) {
            assertThat(heard.samples()[i] - alone.samples()[i]).isCloseTo(voice.samples()[i], within(1e-5f));
        }
    }

    @Test
    void anyStretchOfItIsTheSameAsInTheWhole() {
        Layer layer = under(MadeSounds.ALL.get(2).sound().get(), new Bed.Settings(true, 500, 500, -18, 6));
        SoundSource beside = VoiceWithBed.alone(SoundSource.of(bursts(3)), layer);
        float[] whole = beside.inMemory().samples();
        Random chance = new Random(1);
        for (int i = 0; i < 20; i++) {
            int from = chance.nextInt(whole.length - 100_000);
            float[] some = beside.stretch((long) from, from + 100_000L).samples();
            for (int k = 0; k < some.length; k += 13) {
                assertThat(some[k]).isCloseTo(whole[from + k], within(1e-6f));
            }
        }
    }

    @Test
    void theSoundsThatComeAlongAreTheSameEveryTimeAndNeitherSilentNorCut() {
        for (MadeSounds.BuiltInSound made : MadeSounds.ALL) {
            Sound sound = made.sound().get();
            assertThat(sound.samples()).isEqualTo(made.sound().get().samples());
            assertThat(TruePeak.of(sound.samples())).as(made.name()).isBetween(0.3, 0.8);
            assertThat(LoudnessMeter.of(sound).lufs()).isGreaterThan(-60);
        }
    }
}
