package org.logophon.core.voice.align;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Hums;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.render.Utterance;

/** A reading held against nine words, with a word more or less. */
class WordMatchTest {

    private static final int RATE = 16_000;
    private static final double SECONDS = 0.3;

    private static final List<Utterance> REFERENCES = List.of(told(110, 1), told(150, 1.15), told(190, 0.9));

    private static Utterance told(double pitch, double slower) {
        Hums hums = new Hums(pitch, RATE).silence(0.1);
        IntStream.range(0, 9).forEach(word -> hums.word(word, 10 * word, SECONDS * slower));
        return hums.silence(0.1).told();
    }

    /** Words of the reading, which may differ from the script's nine. */
    private static Hums read(int... words) {
        Hums hums = new Hums(130, RATE).silence(0.2);
        for (int word : words) {
            hums.word(word, 10 * word, SECONDS);
        }
        return hums.silence(0.2);
    }

    @Test
    void aReadingAsItIsWrittenHasAllItsWordsAndNothingElse() {
        Hums reading = read(0, 1, 2, 3, 4, 5, 6, 7, 8);
        WordMatch match = WordMatch.of(REFERENCES, reading.sound());
        assertThat(match.strange()).isEmpty();
        assertThat(match.unsaid()).isEmpty();
        assertThat(match.words())
                .hasSize(9)
                .allSatisfy(word -> assertThat(word.doubt()).isLessThan(0.5));
        for (int i = 0; i < 9; i++) {
            assertThat((match.words().get(i).sample() - reading.starts().get(i).sample()) / (double) RATE)
                    .as("start of word " + i)
                    .isCloseTo(0, within(0.03));
        }
    }

    @Test
    void wordsThatAreLeftOutAreNamed() {
        WordMatch match = WordMatch.of(REFERENCES, read(0, 1, 2, 5, 6, 7, 8).sound());
        assertThat(match.unsaid()).hasSize(1);
        assertThat(match.unsaid().get(0).from()).isEqualTo(30);
        assertThat(match.unsaid().get(0).to()).isEqualTo(40);
        assertThat(match.strange()).isEmpty();
    }

    @Test
    void aWordThatNobodyWroteIsFoundWhereItIsSaid() {
        Hums reading = new Hums(130, RATE).silence(0.2);
        IntStream.range(0, 5).forEach(word -> reading.word(word, 10 * word, SECONDS));
        int from = reading.starts().get(4).sample() + (int) (SECONDS * RATE);
        reading.word(8, -1, SECONDS);
        IntStream.range(5, 9).forEach(word -> reading.word(word, 10 * word, SECONDS));
        WordMatch match = WordMatch.of(REFERENCES, reading.silence(0.2).sound());
        assertThat(match.unsaid()).isEmpty();
        assertThat(match.strange()).hasSize(1);
        WordMatch.Strange strange = match.strange().get(0);
        assertThat(strange.before()).isEqualTo(50);
        assertThat(strange.from() / (double) RATE).isCloseTo(from / (double) RATE, within(0.1));
        assertThat(strange.to() / (double) RATE).isCloseTo(from / (double) RATE + SECONDS, within(0.1));
    }

    /** Noise 25 dB under the speech. */
    private static Sound inALoudRoom(Sound clean) {
        Random random = new Random(5);
        double level = clean.rms(0, clean.samples().length) * Decibels.toFactor(-25);
        float[] samples = clean.samples().clone();
        for (int i = 0; i < samples.length; i++) {
            samples[i] += (float) (level * random.nextGaussian());
        }
        return new Sound(samples, clean.rate());
    }

    @Test
    void aPauseInALoudRoomIsNothingSaid() {
        Hums reading = new Hums(130, RATE).silence(0.2);
        IntStream.range(0, 5).forEach(word -> reading.word(word, 10 * word, SECONDS));
        reading.silence(1.2);
        IntStream.range(5, 9).forEach(word -> reading.word(word, 10 * word, SECONDS));
        assertThat(WordMatch.of(REFERENCES, inALoudRoom(reading.silence(0.2).sound()))
                        .strange())
                .isEmpty();
    }
}
