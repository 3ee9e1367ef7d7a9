package org.logophon.speech.own;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.WordTime;
import org.logophon.speech.Engines;
import org.logophon.speech.SharedSpeech;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;

/**
 * The promises of a take hold for a program that is plugged in: one that takes pace and pitch, and one that takes
 * neither.
 */
class OwnPromisesTest {

    private static final OwnEnginesFile FILE = OwnEnginesFile.read(Path.of("../docs/engines.yaml"));
    private static final WorkerPool POOL = SharedSpeech.POOL;
    private static final Narrator NARRATOR =
            new Narrator(SharedSpeech.remembering(new Engines(POOL, null, FILE.engines())), new WorkerResampler(POOL));
    private static final String LINE = "The lens came by sea, in forty boxes, and the keeper counted them all twice.";

    private static Voice voice(String id) {
        return FILE.voices().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static Recipe recipe(Voice voice, Integer pace, Double pitch) {
        return Recipe.of(
                LINE,
                voice,
                NARRATOR.engineVersion(voice),
                ResolvedDirection.of(new Direction(pace, pitch, null, null)));
    }

    @ParameterizedTest
    @ValueSource(strings = {"own-pipe-wren", "own-file-hester"})
    void paceAndPitchAreWhatIsAsked(String id) {
        Speech plain = NARRATOR.render(recipe(voice(id), null, null));
        double own = SpeechSpan.soundingSeconds(plain.sound());
        for (int pace : new int[] {80, 125}) {
            assertThat(SpeechSpan.soundingSeconds(
                            NARRATOR.render(recipe(voice(id), pace, null)).sound()))
                    .as("pace " + pace)
                    .isCloseTo(own * 100 / pace, within(0.03 * own * 100 / pace));
        }
        double hertz = PitchMeter.track(plain.sound()).medianHz();
        for (double semitones : new double[] {-4, 3}) {
            double got = PitchMeter.track(
                            NARRATOR.render(recipe(voice(id), null, semitones)).sound())
                    .medianHz();
            assertThat(PitchTrack.semitones(hertz, got))
                    .as("pitch " + semitones)
                    .isCloseTo(semitones, within(0.5));
        }
    }

    @Test
    void aTextOverItsLimitIsSaidInPieces() {
        String text = "The keeper lit the lamp. ".repeat(84).strip();
        Voice wren = voice("own-pipe-wren");
        Speech said = NARRATOR.render(Recipe.of(text, wren, "", ResolvedDirection.NEUTRAL));
        assertThat(said.words()).hasSize(420);
        assertThat(said.words()).extracting(WordTime::startSample).isSorted();
    }
}
