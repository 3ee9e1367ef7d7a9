package org.logophon.core.voice.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;

/** Rests between two tones that stand for words. */
class RestRendererTest {

    private static final int RATE = 16_000;
    private static final double WORD_SECONDS = 0.4;

    private static Sound spoken(double between) {
        Sound word = Tones.sine(200, -12, WORD_SECONDS, RATE);
        return Tones.joined(word, Tones.of(i -> 0, between, RATE), word);
    }

    private static List<WordTime> words(double between) {
        int length = (int) (WORD_SECONDS * RATE);
        int second = length + (int) (between * RATE);
        return List.of(new WordTime(0, 3, 0, length), new WordTime(4, 8, second, second + length));
    }

    private static RestRenderer.Rested rested(double between, RequestedRest rest) {
        return RestRenderer.of(spoken(between), words(between), List.of(rest, RequestedRest.OWN));
    }

    /** The longest stretch in which nothing is heard. */
    private static double silence(Sound sound) {
        float threshold = RestRenderer.threshold(sound);
        int longest = 0;
        int now = 0;
        for (float sample : sound.samples()) {
            now = Math.abs(sample) <= threshold ? now + 1 : 0;
            longest = Math.max(longest, now);
        }
        return longest / (double) RATE;
    }

    @ParameterizedTest
    @CsvSource({"0.1, 0.5", "0.5, 0.1", "0.3, 0", "0, 0.25", "0.2, 2"})
    void aRestIsAsLongAsItIsAskedToBeAndSaysSo(double between, double wanted) {
        RestRenderer.Rested made = rested(between, new RequestedRest((int) (wanted * RATE), true, 1, null));
        assertThat(silence(made.sound())).isCloseTo(wanted, within(0.006));
        assertThat(made.measured()[0] / (double) RATE).isCloseTo(wanted, within(0.006));
        assertThat(made.measured()[1]).isEqualTo(-1);
        assertThat((made.words().get(1).startSample() - made.words().get(0).endSample()) / (double) RATE)
                .as("between the words as they are told")
                .isCloseTo(wanted, within(0.02));
    }

    @Test
    void aRestThatNeedNotBeExactKeepsALongerOne() {
        RequestedRest atLeast = new RequestedRest(RATE / 5, false, 1, null);
        assertThat(silence(rested(0.5, atLeast).sound())).isCloseTo(0.5, within(0.006));
        assertThat(silence(rested(0.1, atLeast).sound())).isCloseTo(0.2, within(0.006));
    }

    @Test
    void whereNothingIsAskedForNothingChanges() {
        RestRenderer.Rested made = rested(0.2, RequestedRest.OWN);
        assertThat(made.sound().samples()).isEqualTo(spoken(0.2).samples());
        assertThat(made.words()).isEqualTo(words(0.2));
        assertThat(made.measured()).containsOnly(-1);
    }

    @Test
    void theSecondWordKeepsItsSound() {
        Sound made = rested(0.1, new RequestedRest(RATE, true, 1, null)).sound();
        float[] word = Tones.sine(200, -12, WORD_SECONDS, RATE).samples();
        float[] end = Arrays.copyOfRange(made.samples(), made.samples().length - word.length, made.samples().length);
        assertThat(end).isEqualTo(word);
    }

    @Test
    void aBreathIsHeardInItsRestAndUnderTheVoice() {
        Sound with = rested(0.1, new RequestedRest(RATE, true, 1, Instruction.Depth.DEEP))
                .sound();
        Sound without = rested(0.1, new RequestedRest(RATE, true, 1, null)).sound();
        int middle = with.samples().length / 2;
        int around = RATE / 3;
        assertThat(without.rms(middle - around, middle + around)).isZero();
        double breath = with.rms(middle - around, middle + around);
        assertThat(breath).isPositive();
        assertThat(20 * Math.log10(breath / with.rms(0, RATE / 4)))
                .as("under the voice, in dB")
                .isBetween(-45.0, -15.0);
    }
}
