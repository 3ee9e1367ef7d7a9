package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.time.viseme.MouthShape;
import org.logophon.core.time.viseme.MouthShapes;
import org.logophon.core.time.viseme.Viseme;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.finish.Clip.TimedWord;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.SpeechEngine;

/** Shapes of the mouth against what Praat sees of the sound. */
class MouthShapesTest {

    private static final WorkerPool POOL = SharedSpeech.POOL;
    private static final SpeechEngine ENGINES = SharedSpeech.ENGINES;

    /** Each with one p, b or m between two vowels. */
    private static final List<String> WORDS = List.of(
            "happy", "copper", "super", "paper", "upper", "keeper", "baby", "rubber", "cabin", "robin", "labour",
            "habit", "rabbit", "summer", "hammer", "lemon", "coming", "camera", "woman", "limit");

    private static Speech said(String voice, String text) {
        Voice speaker = NativeVoices.catalogue().find(voice).orElseThrow();
        return new Narrator(ENGINES, new WorkerResampler(POOL))
                .render(Recipe.of(text, speaker, ENGINES.version(speaker), ResolvedDirection.of(Direction.NONE)))
                .trimmed();
    }

    private static MouthShapes shapes(String text, Speech speech) {
        double rate = speech.sound().rate();
        return MouthShapes.of(
                text,
                speech.words().stream()
                        .map(word -> new TimedWord(
                                word.start(), word.end(), word.startSample() / rate, word.endSample() / rate))
                        .toList(),
                speech.phones(),
                speech.sound().seconds());
    }

    /**
     * Where the lips have closed: the intensity around its lowest point is halfway down from the vowel before. Common
     * practice for segmenting stops and nasals by eye, no source.
     */
    private static double closure(double[] intensity, double from, double to) {
        int first = Math.max(1, 1 + (int) ((from - intensity[0]) / Praat.INTENSITY_STEP));
        int last = Math.min(intensity.length - 1, 1 + (int) ((to - intensity[0]) / Praat.INTENSITY_STEP));
        int lowest = first;
        for (int i = first; i <= last; i++) {
            lowest = intensity[i] < intensity[lowest] ? i : lowest;
        }
        double loud = intensity[lowest];
        for (int i = Math.max(1, lowest - 60); i < lowest; i++) {
            loud = Math.max(loud, intensity[i]);
        }
        int at = lowest;
        while (at > 1 && intensity[at] < (loud + intensity[lowest]) / 2) {
            at--;
        }
        return intensity[0] + (at - 1) * Praat.INTENSITY_STEP;
    }

    @ParameterizedTest
    @ValueSource(strings = {"rufus", "marnie", "isla", "bryony", "hettie"})
    void lipsCloseWherePraatSeesThemClose(String voice) {
        StringBuilder off = new StringBuilder();
        int tried = 0;
        double furthest = 0;
        List<String> words = SharedSpeech.each(2, WORDS);
        for (String word : words) {
            String text = "A " + word + " again.";
            Speech speech = said(voice, text);
            double rate = speech.sound().rate();
            double start = speech.words().get(1).startSample() / rate;
            double end = speech.words().get(1).endSample() / rate;
            double[] intensity = Praat.intensity(speech.sound());
            List<MouthShape> closed = shapes(text, speech).shapes().stream()
                    .filter(shape ->
                            shape.viseme() == Viseme.CLOSED && shape.start() > start + 0.04 && shape.start() < end)
                    .toList();
            if (closed.isEmpty()) {
                off.append(word).append(" has none; ");
                continue;
            }
            MouthShape shape = closed.get(closed.size() - 1);
            double miss = shape.start() - closure(intensity, shape.start() - 0.03, shape.end() + 0.02);
            furthest = Math.max(furthest, Math.abs(miss));
            tried++;
            if (Math.abs(miss) > 0.020) {
                off.append(String.format("%s %.1f ms; ", word, miss * 1_000));
            }
        }
        System.out.printf("%s: %d words, the furthest %.0f ms off%n", voice, tried, furthest * 1_000);
        assertThat(off.toString()).isEmpty();
        assertThat(tried).isEqualTo(words.size());
    }

    @ParameterizedTest
    @ValueSource(strings = {"nessa", "isla", "frauke", "percy"})
    void shapesAddUpToTheClip(String voice) {
        String text = "Mind the step, Peter. Above it, nothing moves; the lamp burns by itself.";
        Speech speech = said(voice, text);
        List<MouthShape> shapes = shapes(text, speech).shapes();
        double at = 0;
        List<Integer> seen = new ArrayList<>();
        for (MouthShape shape : shapes) {
            assertThat(shape.start()).isCloseTo(at, within(1e-9));
            assertThat(shape.end()).isGreaterThan(shape.start());
            at = shape.end();
            seen.add(shape.viseme());
        }
        assertThat(at).isCloseTo(speech.sound().seconds(), within(1e-9));
        assertThat(shapes(text, speech).source()).isEqualTo(MouthShapes.Source.ENGINE);
        assertThat(seen).contains(0, 1, 2, 4, 7, 8).allMatch(viseme -> viseme >= 0 && viseme <= 14);
    }
}
