package org.logophon.core.voice.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.signal.sound.Hums;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.check.TakeFinding.Kind;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.take.TakeOrigin;

/** Takes of made-up speech, each spoiled in one way. */
class SpoiledTakesTest {

    private static final int RATE = 16_000;
    private static final String TEXT = "Fog lies over Skerrow and nobody rows tonight again";
    private static final String[] WORDS = TEXT.split(" ");
    private static final double SECONDS = 0.32;

    private static int place(int word) {
        return TEXT.indexOf(WORDS[word]);
    }

    /** @param seconds of each word */
    private static Hums said(double pitch, double... seconds) {
        Hums hums = new Hums(pitch, RATE).silence(0.05);
        for (int word = 0; word < WORDS.length; word++) {
            hums.word(word, place(word), seconds[word % seconds.length]);
        }
        return hums.silence(0.05);
    }

    private static final Utterance ANEW = said(120, SECONDS).told();

    private static List<TakeFinding> found(Sound sound) {
        return TakeCheck.of(sound, TakeOrigin.spoken(TEXT, "Narrator", null), SpokenText.of(TEXT), ANEW);
    }

    private static Sound without(Sound sound, int from, int to) {
        float[] samples = sound.samples();
        float[] left = Arrays.copyOf(samples, samples.length - (to - from));
        System.arraycopy(samples, to, left, from, samples.length - to);
        return new Sound(left, sound.rate());
    }

    @Test
    void aTakeAsItIsPasses() {
        assertThat(found(said(120, SECONDS).sound())).isEmpty();
        assertThat(found(said(150, SECONDS * 0.8).sound()))
                .as("quicker and higher")
                .isEmpty();
    }

    @Test
    void aWordWithoutItsSoundIsNamed() {
        Hums take = said(120, SECONDS);
        int from = take.starts().get(4).sample();
        int to = take.starts().get(5).sample();
        assertThat(found(without(take.sound(), from, to))).anySatisfy(finding -> {
            assertThat(finding.kind()).isEqualTo(Kind.MISSING);
            assertThat(TEXT.substring(finding.start(), finding.end())).isEqualTo(WORDS[4]);
        });
    }

    @Test
    void aStretchThatFallsOutOfTheLevelIsShownFromWordToWord() {
        Hums take = said(120, SECONDS);
        float[] samples = take.sound().samples().clone();
        for (int i = take.starts().get(3).sample(); i < take.starts().get(6).sample(); i++) {
            samples[i] *= 0.2f;
        }
        assertThat(found(new Sound(samples, RATE))).singleElement().satisfies(finding -> {
            assertThat(finding.kind()).isEqualTo(Kind.LEVEL);
            assertThat(TEXT.substring(finding.start(), finding.end())).isEqualTo("Skerrow and nobody");
        });
    }

    @Test
    void silenceThatNothingAsksForIsMeasured() {
        Hums take = new Hums(120, RATE).silence(0.05);
        for (int word = 0; word < WORDS.length; word++) {
            take.word(word, place(word), SECONDS);
            if (word == 3) {
                take.silence(2);
            }
        }
        assertThat(found(take.silence(0.05).sound())).singleElement().satisfies(finding -> {
            assertThat(finding.kind()).isEqualTo(Kind.SILENCE);
            assertThat(finding.toSeconds() - finding.fromSeconds()).isCloseTo(2, within(0.05));
            assertThat(finding.sentence()).isEqualTo("2.0 s of silence that nothing asks for.");
        });
    }

    @Test
    void aClickIsShownInItsWord() {
        Hums take = said(120, SECONDS);
        float[] samples = take.sound().samples().clone();
        int at = take.starts().get(5).sample() + RATE / 10;
        samples[at] = -0.9f;
        assertThat(found(new Sound(samples, RATE)))
                .filteredOn(finding -> finding.kind() == Kind.CLICK)
                .singleElement()
                .satisfies(finding -> {
                    assertThat(finding.fromSeconds()).isCloseTo(at / (double) RATE, within(0.001));
                    assertThat(TEXT.substring(finding.start(), finding.end())).isEqualTo(WORDS[5]);
                });
    }

    @Test
    void withoutAVoiceToHoldItAgainstOnlyTheSoundItselfIsLookedAt() {
        Hums take = said(120, SECONDS);
        Sound gone = without(
                take.sound(),
                take.starts().get(4).sample(),
                take.starts().get(5).sample());
        assertThat(TakeCheck.of(gone, TakeOrigin.spoken(TEXT, "Narrator", null), SpokenText.of(TEXT), null))
                .extracting(TakeFinding::kind)
                .doesNotContain(Kind.MISSING);
    }
}
