package org.logophon.core.voice.align;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.logophon.core.signal.sound.Hums;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.Utterance.WordStart;

/** Made-up speech: each sound a hum of its own, whose true places are known. */
class WordAlignerTest {

    private static final int WORDS = 9;

    private static final double STEP_SECONDS = 0.01;

    /** @param starts gets where each word starts @param seconds of each word */
    private static Sound say(double[] seconds, int[] pausesAfter, double hum, int rate, List<Integer> starts) {
        Hums hums = new Hums(hum, rate);
        for (int w = 0; w < WORDS; w++) {
            hums.word(w, w, seconds[w]).silence(pausesAfter[w] / 1000.0);
        }
        hums.starts().forEach(start -> starts.add(start.sample()));
        return hums.sound();
    }

    private static Utterance told(Sound sound, List<Integer> starts) {
        List<WordStart> words = new ArrayList<>();
        for (int i = 0; i < starts.size(); i++) {
            words.add(new WordStart(10 * i, starts.get(i)));
        }
        return new Utterance(sound, words, List.of());
    }

    private static double[] lengths(long seed, double least, double most) {
        return new Random(seed).doubles(WORDS, least, most).toArray();
    }

    private static void within(double seconds, List<WordStart> carried, List<Integer> truth, int rate) {
        assertThat(carried).hasSameSizeAs(truth);
        for (int i = 0; i < truth.size(); i++) {
            assertThat(carried.get(i).codePoint()).isEqualTo(10 * i);
            assertThat(Math.abs(carried.get(i).sample() - truth.get(i)) / (double) rate)
                    .as("word " + i)
                    .isLessThan(seconds);
        }
    }

    @Test
    void otherLengthsAnotherPitchAndAnotherRateAreCarriedOver() {
        List<Integer> known = new ArrayList<>();
        Sound voice = say(lengths(1, 0.2, 0.5), new int[9], 110, 16_000, known);
        List<Integer> truth = new ArrayList<>();
        Sound other = say(lengths(2, 0.1, 0.7), new int[9], 190, 22_050, truth);
        within(0.025, WordAligner.starts(List.of(told(voice, known)), other), truth, 22_050);
    }

    @Test
    void aPauseThatOnlyTheOtherMakesBelongsToNoWord() {
        List<Integer> known = new ArrayList<>();
        Sound voice = say(lengths(3, 0.2, 0.4), new int[9], 110, 16_000, known);
        List<Integer> truth = new ArrayList<>();
        int[] pauses = {0, 400, 0, 0, 900, 0, 60, 0, 0};
        Sound other = say(lengths(4, 0.2, 0.4), pauses, 140, 16_000, truth);
        within(0.03, WordAligner.starts(List.of(told(voice, known)), other), truth, 16_000);
    }

    @Test
    void oneThatIsLedAstrayIsOutvoted() {
        List<Integer> known = new ArrayList<>();
        Sound voice = say(lengths(5, 0.2, 0.4), new int[9], 110, 16_000, known);
        List<Integer> astray = known.stream().map(start -> start + 4_000).toList();
        List<Integer> truth = new ArrayList<>();
        Sound other = say(lengths(6, 0.2, 0.4), new int[9], 150, 16_000, truth);
        List<WordStart> carried =
                WordAligner.starts(List.of(told(voice, known), told(voice, astray), told(voice, known)), other);
        within(0.025, carried, truth, 16_000);
    }

    /** Work and memory grow with the length: ten minutes against ten minutes in a heap of the tests' size. */
    @Test
    void tenMinutesAreWarpedNearTheirPath() {
        int steps = (int) (600 / STEP_SECONDS);
        float[][] first = new float[steps][];
        float[][] second = new float[steps * 6 / 5][];
        Random random = new Random(7);
        float[][] sounds = new float[steps / 10 + 1][2];
        for (float[] sound : sounds) {
            sound[0] = random.nextFloat();
            sound[1] = random.nextFloat();
        }
        for (int i = 0; i < first.length; i++) {
            first[i] = sounds[i / 10];
        }
        for (int i = 0; i < second.length; i++) {
            second[i] = sounds[i / 12];
        }
        int[] path = Warp.path(first, second);
        for (int i = 0; i < first.length; i += 10) {
            assertThat(path[i]).isCloseTo(i * 12 / 10, org.assertj.core.api.Assertions.within(2));
        }
    }

    @Test
    void nothingAndNearlyNothingAreNoFailure() {
        List<Integer> known = new ArrayList<>();
        Sound voice = say(lengths(8, 0.2, 0.4), new int[9], 110, 16_000, known);
        for (double seconds : new double[] {0, 0.001, 0.02, 0.2}) {
            Sound other = Tones.sine(200, -10, seconds, 16_000);
            assertThat(WordAligner.starts(List.of(told(voice, known)), other))
                    .hasSize(9)
                    .allMatch(word -> word.sample() >= 0 && word.sample() <= other.samples().length);
        }
    }
}
