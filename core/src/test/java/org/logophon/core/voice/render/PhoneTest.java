package org.logophon.core.voice.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.time.viseme.MouthShape;
import org.logophon.core.time.viseme.MouthShapes;
import org.logophon.core.time.viseme.Viseme;
import org.logophon.core.voice.finish.Clip.TimedWord;
import org.logophon.core.voice.render.Utterance.PhonemeStart;

/** Single sounds of words, and the shapes of a mouth that says them. */
class PhoneTest {

    private static final int RATE = 1_000;

    /** A vowel, then 80 ms of quiet, then a burst at which the engine tells of its stop. */
    private static Utterance stop(String ipa) {
        float[] x = new float[400];
        for (int i = 0; i < x.length; i++) {
            x[i] = i >= 120 && i < 200 ? 0 : i % 2 == 0 ? 0.5f : -0.5f;
        }
        return new Utterance(
                new Sound(x, RATE),
                List.of(new Utterance.WordStart(0, 0)),
                List.of(
                        new PhonemeStart(0, false, "æ"),
                        new PhonemeStart(200, false, ipa),
                        new PhonemeStart(260, false, "i")));
    }

    @Test
    void aStopBeginsWhereItCloses() {
        List<WordTime> word = List.of(new WordTime(0, 5, 0, 400));
        assertThat(Phone.of(word, stop("p")))
                .containsExactly(new Phone(0, 0, 0.3, "æ"), new Phone(0, 0.3, 0.65, "p"), new Phone(0, 0.65, 1, "i"));
        // what isn't a stop begins where the engine says
        assertThat(Phone.of(word, stop("s")).get(1).from()).isEqualTo(0.5);
    }

    @Test
    void whatIsWrittenIsReadAgain() {
        List<Phone> phones = List.of(new Phone(0, -0.05, 0.3, "tʃ"), new Phone(12, 0.3, 1, "əʊ"));
        assertThat(Phone.read(Phone.written(phones))).isEqualTo(phones);
        assertThat(Phone.read("")).isEmpty();
    }

    @Test
    void anEngineThatNamesNoSoundsTellsNone() {
        Utterance unnamed = new Utterance(
                new Sound(new float[100], RATE),
                List.of(),
                List.of(new PhonemeStart(0, false), new PhonemeStart(90, true)));
        assertThat(Phone.of(List.of(new WordTime(0, 2, 0, 90)), unnamed)).isEmpty();
    }

    /** Table of visemes of ISO/IEC 14496-2, from memory. */
    @Test
    void soundsHaveTheShapesOfTheStandard() {
        assertThat(List.of("p", "b", "m").stream().map(Viseme::of)).containsOnly(List.of(1));
        assertThat(List.of("f", "v").stream().map(Viseme::of)).containsOnly(List.of(2));
        assertThat(List.of("θ", "ð").stream().map(Viseme::of)).containsOnly(List.of(3));
        assertThat(List.of("t", "d").stream().map(Viseme::of)).containsOnly(List.of(4));
        assertThat(List.of("k", "ɡ").stream().map(Viseme::of)).containsOnly(List.of(5));
        assertThat(List.of("tʃ", "dʒ", "ʃ").stream().map(Viseme::of)).containsOnly(List.of(6));
        assertThat(List.of("s", "z").stream().map(Viseme::of)).containsOnly(List.of(7));
        assertThat(List.of("n", "l").stream().map(Viseme::of)).containsOnly(List.of(8));
        assertThat(Viseme.of("ɹ")).containsExactly(9);
        assertThat(List.of("ɑː", "e", "ɪ", "ɒ", "ʊ").stream().map(Viseme::of))
                .containsExactly(List.of(10), List.of(11), List.of(12), List.of(13), List.of(14));
        assertThat(Viseme.of("aɪ")).containsExactly(10, 12);
        assertThat(Viseme.of("")).containsExactly(0);
    }

    @Test
    void withoutSoundsTheLettersAreSpreadOverTheWord() {
        MouthShapes shapes = MouthShapes.of("map", List.of(new TimedWord(0, 3, 0.5, 0.8)), List.of(), 1);
        assertThat(shapes.source()).isEqualTo(MouthShapes.Source.SPELLING);
        assertThat(shapes.shapes().stream().map(MouthShape::viseme)).containsExactly(0, 1, 10, 1, 0);
        assertThat(shapes.shapes().get(2).start()).isEqualTo(0.6);
        assertThat(MouthShapes.of("map", List.of(), List.of(), 1).shapes())
                .containsExactly(new MouthShape(0, 1, 0, ""));
    }
}
