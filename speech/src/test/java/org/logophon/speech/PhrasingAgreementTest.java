package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.direction.phrasing.PhraseMove;
import org.logophon.core.direction.phrasing.PhrasePart;
import org.logophon.core.direction.phrasing.Phrasing;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.ClearnessTable;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.WordTime;

/** Phrasing as it is heard: measured by FFmpeg (rests) and Praat (pitch), in clear voices of each engine. */
@Execution(ExecutionMode.CONCURRENT)
class PhrasingAgreementTest {

    private static final String SIGNS =
            "We bought lamps, oil and rope; then we left: the boat – a small one – was full (and slow) but dry… "
                    + "It sank. Who knew? Nobody! They wept.\n\nThat was all.";

    private static final Narrator NARRATOR = new Narrator(SharedSpeech.ENGINES, new WorkerResampler(SharedSpeech.POOL));

    /** Of the clear voices each sixth, and one whose engine phrases a good deal by itself. */
    static Stream<Voice> voices() {
        List<Voice> clear = NativeVoices.catalogue().all().stream()
                .filter(voice -> ClearnessTable.shipped()
                        .of(voice.id())
                        .filter(clearness -> clearness.missedPercent() < 15)
                        .isPresent())
                .toList();
        return Stream.concat(SharedSpeech.each(6, clear).stream(), NativeVoices.catalogue().find("isla").stream());
    }

    private static Recipe recipe(String text, Voice voice) {
        return Recipe.of(text, voice, NARRATOR.engineVersion(voice), ResolvedDirection.NEUTRAL);
    }

    private static Speech plain(String text, Voice voice) {
        return NARRATOR.render(recipe(text, voice));
    }

    private static Speech phrased(String text, Voice voice) {
        return NARRATOR.render(recipe(text, voice).phrased(100));
    }

    /** The sound of words, as they are written. */
    private static Sound cut(Speech speech, String text, String words) {
        int at = text.indexOf(words);
        List<WordTime> meant = speech.words().stream()
                .filter(word -> word.start() >= at && word.end() <= at + words.length())
                .toList();
        return speech.sound()
                .cut(meant.get(0).startSample(), meant.get(meant.size() - 1).endSample());
    }

    /** The last 0.3 s that are voiced. */
    private static Sound end(Speech speech) {
        float[] hertz = PitchMeter.track(speech.sound()).hertz();
        int last = hertz.length - 1;
        while (hertz[last] == 0) {
            last--;
        }
        int to = (int) ((last + 1) * 0.01 * speech.sound().rate());
        return speech.sound()
                .cut(
                        to - (int) (0.3 * speech.sound().rate()),
                        Math.min(to, speech.sound().samples().length));
    }

    private static double semitones(Sound from, Sound to) {
        return 12 * Math.log(Praat.pitch(to) / Praat.pitch(from)) / Math.log(2);
    }

    private static double decibels(Sound from, Sound to) {
        return 20 * Math.log10(to.rms(0, to.samples().length) / from.rms(0, from.samples().length));
    }

    @ParameterizedTest
    @MethodSource("voices")
    void eachBoundaryRestsByTheTable(Voice voice) {
        Speech speech = phrased(SIGNS, voice);
        List<Silences.Silence> silences = Silences.of(speech.sound());
        List<Double> misses = new ArrayList<>();
        for (PhrasePart part : Phrasing.of(SIGNS, voice.language()).parts()) {
            if (part.move() instanceof PhraseMove.Rest rest) {
                WordTime word = speech.words().stream()
                        .filter(time -> time.end() == part.end())
                        .findFirst()
                        .orElseThrow();
                double end = word.endSample() / (double) speech.sound().rate();
                misses.add(silences.stream()
                        .filter(silence -> Math.abs(silence.from() - end) < 0.06)
                        .mapToDouble(silence -> Math.abs(silence.seconds() - rest.seconds()))
                        .min()
                        .orElse(1));
            }
        }
        // an s that dies away crosses the threshold more than once: one place may be told otherwise
        assertThat(misses).allSatisfy(miss -> assertThat(miss).isLessThan(0.030));
        assertThat(misses.stream().filter(miss -> miss > 0.020)).hasSizeLessThanOrEqualTo(1);
    }

    @ParameterizedTest
    @MethodSource("voices")
    void aQuestionRisesOverTheSameWordsAsAStatement(Voice voice) {
        Speech statement = phrased("You are leaving.", voice);
        Speech question = phrased("You are leaving?", voice);
        assertThat(semitones(end(statement), end(question))).isGreaterThanOrEqualTo(3);
    }

    @ParameterizedTest
    @MethodSource("voices")
    void aQuestionWithAWordOfItsOwnAndAStatementFall(Voice voice) {
        for (String text : List.of("Where are you going to in the morning?", "They are going to go in the morning.")) {
            Speech speech = phrased(text, voice);
            assertThat(semitones(speech.sound(), end(speech))).as(text).isLessThan(-1);
        }
    }

    @ParameterizedTest
    @MethodSource("voices")
    void anExclamationIsWiderAndLouderAndWhatIsPutInLowerQuickerAndSofter(Voice voice) {
        Speech calm = phrased("Leave the old lamp alone.", voice);
        Speech loud = phrased("Leave the old lamp alone!", voice);
        assertThat(decibels(calm.sound(), loud.sound())).isBetween(1.0, 2.2);
        assertThat(PitchMeter.track(loud.sound()).spreadSemitones())
                .isGreaterThan(PitchMeter.track(calm.sound()).spreadSemitones() * 1.1);
        String text = "The keeper of the lamp (a rather quiet old man) slept on.";
        Sound before = cut(plain(text, voice), text, "a rather quiet old man");
        Sound after = cut(phrased(text, voice), text, "a rather quiet old man");
        assertThat(semitones(before, after)).isLessThan(-0.5);
        assertThat(after.seconds() / before.seconds()).isLessThan(0.99);
        assertThat(decibels(before, after)).isBetween(-2.2, -0.8);
    }

    @ParameterizedTest
    @MethodSource("voices")
    void whatMarksPromiseHoldsOnTopOfPhrasing(Voice voice) {
        String text = "The crew have one tide to lift it out, and the sling is rated for most of it. Nobody sleeps.";
        Speech bare = phrased(text, voice);
        String words = "the sling is rated for";
        int at = text.indexOf(words);
        Mark higher = Mark.own(at, at + words.length(), new Instruction.Pitch(2));
        Speech marked = NARRATOR.render(
                recipe(text, voice).phrased(100).with(new Score(List.of(higher), PauseDefaults.NONE, 0, 0)));
        assertThat(semitones(cut(bare, text, words), cut(marked, text, words))).isCloseTo(2, within(0.5));
        assertThat(marked.measurement().marks().get(0)).isCloseTo(2, within(0.5));
        Mark slower = Mark.own(at, at + words.length(), new Instruction.Pace(80));
        Speech slow = NARRATOR.render(
                recipe(text, voice).phrased(100).with(new Score(List.of(slower), PauseDefaults.NONE, 0, 0)));
        assertThat(cut(bare, text, words).seconds() / cut(slow, text, words).seconds())
                .isCloseTo(0.8, within(0.024));
        assertThat(slow.measurement().marks().get(0)).isCloseTo(80, within(2.4));
        int comma = text.indexOf("out");
        Mark pause = Mark.own(comma, comma + 3, new Instruction.Pause(1_000));
        Speech paused = NARRATOR.render(
                recipe(text, voice).phrased(100).with(new Score(List.of(pause), PauseDefaults.NONE, 0, 0)));
        assertThat(Silences.of(paused.sound()))
                .anySatisfy(silence -> assertThat(silence.seconds()).isCloseTo(1.0, within(0.02)));
    }

    @Test
    void theDialGoesFromTheEnginesOwnToMore() {
        Voice voice = NativeVoices.catalogue().find("rufus").orElseThrow();
        String text = "The lamp was out. Nobody knew.";
        assertThat(NARRATOR.render(recipe(text, voice).phrased(0)).sound().samples())
                .isEqualTo(plain(text, voice).sound().samples());
        double[] seconds = Stream.of(0, 50, 100, Dial.PHRASING.most())
                .mapToDouble(percent -> NARRATOR.render(recipe(text, voice).phrased(percent))
                        .sound()
                        .seconds())
                .toArray();
        assertThat(seconds).isSorted();
        assertThat(seconds[3] - seconds[0]).isGreaterThan(0.6);
    }
}
