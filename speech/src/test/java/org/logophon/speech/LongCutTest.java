package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.voice.align.LongCut;
import org.logophon.core.voice.recording.CueCutter;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;

/**
 * A long recording is cut into its cues: a programme that is put together here, with room noise at 30 dB, coughs, cues
 * that are left out, said twice, and broken off and begun anew.
 */
class LongCutTest {

    private static final int RATE = 16_000;
    private static final WorkerPool POOL = SharedSpeech.POOL;
    private static final SpeechEngine ENGINES = SharedSpeech.ENGINES;
    private static final WorkerResampler RESAMPLER = new WorkerResampler(POOL);
    private static final CueCutter CUTTER = new CueCutter(ENGINES, NativeVoices::quick, RESAMPLER);

    private static final List<String> WHO = List.of(
            "The keeper",
            "An old fisherman",
            "My sister",
            "Nobody in the village",
            "The harbour master",
            "A young sailor",
            "The last visitor",
            "Our neighbour",
            "The captain's wife",
            "Every child here");
    private static final List<String> DID = List.of(
            "walked along the cliff before the rain came.",
            "counted seven ships, and smiled.",
            "never spoke about that night.",
            "has been waiting since early morning.",
            "brought bread, oil and letters up the stairs.",
            "could see the white house from the bay.",
            "asked whether the light would burn until dawn.");

    private record Programme(Sound sound, List<String> texts, List<LongCut.Said> truth) {}

    private static Programme programme(String person, int cues, Random random) {
        List<String> texts = new ArrayList<>();
        for (int i = 0; i < cues; i++) {
            String text = sentence(random);
            texts.add(random.nextInt(3) > 0 ? text + " " + sentence(random) : text);
        }
        List<Sound> said = IntStream.range(0, cues)
                .parallel()
                .mapToObj(i -> spoken(person, texts.get(i)))
                .toList();
        Laid laid = new Laid(random);
        List<LongCut.Said> truth = new ArrayList<>();
        for (int i = 0; i < cues; i++) {
            float[] cue = said.get(i).samples();
            laid.quiet(0.3 + random.nextDouble());
            int turn = i % 10;
            if (turn == 3) {
                continue;
            }
            if (turn == 5) {
                truth.add(laid.cue(i, cue));
                laid.quiet(0.5);
            } else if (turn == 7) {
                laid.add(Arrays.copyOf(cue, (int) (cue.length * (0.2 + 0.5 * random.nextDouble()))));
                laid.quiet(0.6);
            } else if (turn == 9) {
                laid.cough();
            }
            truth.add(laid.cue(i, cue));
        }
        laid.quiet(0.5);
        return new Programme(laid.withNoise(30), texts, truth);
    }

    private static String sentence(Random random) {
        return WHO.get(random.nextInt(WHO.size())) + " " + DID.get(random.nextInt(DID.size()));
    }

    private static Sound spoken(String person, String text) {
        Sound sound = RESAMPLER.resample(
                ENGINES.speak(new SpeechRequest(
                                NativeVoices.catalogue().find(person).orElseThrow(), SpokenText.of(text), 1, 0))
                        .sound(),
                RATE);
        SpeechSpan span = SpeechSpan.of(sound);
        return sound.cut(span.from(), span.to());
    }

    /** What was laid so far. */
    private static final class Laid {

        private final Random random;
        private final List<float[]> parts = new ArrayList<>();
        private int length;

        Laid(Random random) {
            this.random = random;
        }

        void add(float[] part) {
            parts.add(part);
            length += part.length;
        }

        void quiet(double seconds) {
            add(new float[(int) (seconds * RATE)]);
        }

        void cough() {
            float[] cough = new float[(int) (RATE * (0.2 + 0.3 * random.nextDouble()))];
            for (int k = 0; k < cough.length; k++) {
                cough[k] = (float) (random.nextGaussian() * 0.2 * Math.sin(Math.PI * k / cough.length));
            }
            add(cough);
            quiet(0.25);
        }

        LongCut.Said cue(int cue, float[] samples) {
            double from = length / (double) RATE;
            add(samples);
            return new LongCut.Said(cue, from, length / (double) RATE);
        }

        Sound withNoise(double under) {
            float[] all = new float[length];
            int at = 0;
            for (float[] part : parts) {
                System.arraycopy(part, 0, all, at, part.length);
                at += part.length;
            }
            double noise = new Sound(all, RATE).rms(0, length) * Math.pow(10, -under / 20);
            for (int i = 0; i < length; i++) {
                all[i] += (float) (random.nextGaussian() * noise);
            }
            return new Sound(all, RATE);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"rufus", "marnie"})
    void cuesAreFoundWithCoughsRepeatsAndWhatWasLeftOut(String person) {
        Programme programme = programme(person, 24, new Random(11));
        List<LongCut.Said> found = CUTTER.cut(SoundSource.of(programme.sound()), programme.texts(), "en-GB");
        int right = 0;
        for (int cue = 0; cue < programme.texts().size(); cue++) {
            right += same(of(cue, programme.truth()), of(cue, found)) ? 1 : 0;
        }
        System.out.printf(
                "%s: %d of %d cues right in %.0f s of recording%n",
                person, right, programme.texts().size(), programme.sound().seconds());
        // 1,000 cues of 98 minutes: 989 right, in 45 s on two cores
        assertThat(right).isGreaterThanOrEqualTo(programme.texts().size() * 97 / 100);
    }

    private static List<LongCut.Said> of(int cue, List<LongCut.Said> said) {
        return said.stream().filter(one -> one.cue() == cue).toList();
    }

    private static boolean same(List<LongCut.Said> truth, List<LongCut.Said> found) {
        return truth.size() == found.size()
                && IntStream.range(0, truth.size())
                        .allMatch(i -> Math.abs(truth.get(i).fromSeconds()
                                                - found.get(i).fromSeconds())
                                        < 0.3
                                && Math.abs(truth.get(i).toSeconds()
                                                - found.get(i).toSeconds())
                                        < 0.45);
    }

    @Test
    void oneCueSaidThreeTimesIsThreeTakes() {
        Laid laid = new Laid(new Random(3));
        String text = "Clear night. Every star is out.";
        laid.quiet(0.8);
        for (int i = 0; i < 3; i++) {
            laid.add(spoken("rufus", text).samples());
            laid.quiet(1);
        }
        assertThat(CUTTER.cut(SoundSource.of(laid.withNoise(30)), List.of(text), "en-GB"))
                .hasSize(3);
    }

    @Test
    void noiseHasNoCuesAndSilenceNeither() {
        Laid laid = new Laid(new Random(4));
        laid.cough();
        laid.quiet(3);
        assertThat(CUTTER.cut(SoundSource.of(laid.withNoise(10)), List.of("Clear night. Every star is out."), "en-GB"))
                .isEmpty();
        assertThat(CUTTER.cut(SoundSource.of(new Sound(new float[RATE], RATE)), List.of("Clear night."), "en-GB"))
                .isEmpty();
    }
}
