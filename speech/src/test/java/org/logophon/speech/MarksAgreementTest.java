package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.FixedVoices;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.speech.own.OwnEnginesFile;

/** What a mark asks for is what is measured: by the core's own meters, by Praat (pitch) and by FFmpeg (silence). */
@Execution(ExecutionMode.CONCURRENT)
class MarksAgreementTest {

    private static final String LINE =
            "The crew have one tide to lift it out, and the sling is rated for most of it. Nobody sleeps.";
    /** Of each engine, women and men, and of two programs that are plugged in. */
    private static final String[] VOICES = {
        "isla",
        "hamish",
        "keziah",
        "aldric",
        "morwenna",
        "bram",
        "marnie",
        "rufus",
        "farquhar",
        "verity",
        "own-pipe-wren",
        "own-file-hester"
    };

    private static final WorkerPool POOL = SharedSpeech.POOL;
    private static final OwnEnginesFile OWN = OwnEnginesFile.read(Path.of("../docs/engines.yaml"));
    private static final VoiceCatalogue VOICES_HERE =
            new FixedVoices(Stream.concat(NativeVoices.catalogue().all().stream(), OWN.voices().stream())
                    .toList());
    private static final Narrator NARRATOR =
            new Narrator(SharedSpeech.remembering(new Engines(POOL, null, OWN.engines())), new WorkerResampler(POOL));
    private static final Map<String, Speech> PLAIN = new ConcurrentHashMap<>();

    private static Recipe recipe(String id) {
        Voice voice = VOICES_HERE.find(id).orElseThrow();
        return Recipe.of(LINE, voice, NARRATOR.engineVersion(voice), ResolvedDirection.NEUTRAL);
    }

    private static Speech plain(String id) {
        return PLAIN.computeIfAbsent(id, voice -> NARRATOR.render(recipe(voice)));
    }

    private static Mark mark(String words, Instruction instruction) {
        int at = LINE.indexOf(words);
        return Mark.own(at, at + words.length(), instruction);
    }

    private static Speech marked(String id, Mark... marks) {
        return NARRATOR.render(recipe(id).with(new Score(List.of(marks), PauseDefaults.NONE, 0, 0)));
    }

    private static int word(Speech speech, int start) {
        for (int i = 0; i < speech.words().size(); i++) {
            if (speech.words().get(i).start() == start) {
                return i;
            }
        }
        throw new AssertionError("No word starts at " + start + ".");
    }

    /** The sound of some words. */
    private static Sound cut(Speech speech, String words) {
        int from = word(speech, LINE.indexOf(words));
        int to = word(speech, LINE.indexOf(words) + words.lastIndexOf(' ') + 1);
        return speech.sound()
                .cut(
                        speech.words().get(from).startSample(),
                        speech.words().get(to).endSample());
    }

    private static double interval(Sound from, Sound to) {
        return 12 * Math.log(Praat.pitch(to) / Praat.pitch(from)) / Math.log(2);
    }

    private static double decibels(Sound sound) {
        double sum = 0;
        for (float sample : sound.samples()) {
            sum += sample * sample;
        }
        return 10 * Math.log10(sum / sound.samples().length);
    }

    /**
     * Each voice is held to a fifth of what is asked, and each request to a fifth of the voices: {@code
     * -Dlogophon.promises=true} for all.
     */
    private static Stream<Promise> some(List<Promise> all) {
        return Boolean.getBoolean("logophon.promises")
                ? all.stream()
                : IntStream.range(0, all.size())
                        .filter(i ->
                                (i + List.of(VOICES).indexOf(all.get(i).voice().split(" ")[0])) % 5 == 0)
                        .mapToObj(all::get);
    }

    private record Promise(String voice, Instruction instruction, double value, double tolerance) {}

    static Stream<Promise> promises() {
        List<Promise> all = new ArrayList<>();
        for (String voice : VOICES) {
            for (double semitones : new double[] {-6, -3, -1, 1, 3, 6}) {
                all.add(new Promise(voice, new Instruction.Pitch(semitones), semitones, 0.7));
            }
            // twice as far off where much more is asked; lower than a woman's −9 neither meter looks
            for (double semitones :
                    List.of("isla", "keziah", "morwenna", "marnie", "verity", "own-pipe-wren", "own-file-hester")
                                    .contains(voice)
                            ? new double[] {-9, 9}
                            : new double[] {9}) {
                all.add(new Promise(voice, new Instruction.Pitch(semitones), semitones, 1.4));
            }
            for (int percent : new int[] {50, 60, 80, 125, 160, 200}) {
                all.add(new Promise(
                        voice,
                        new Instruction.Pace(percent),
                        percent,
                        percent * (percent < 60 || percent > 160 ? 0.06 : 0.03)));
            }
            for (double decibels : new double[] {-12, -6, 4}) {
                all.add(new Promise(voice, new Instruction.Volume(decibels), decibels, 0.5));
            }
        }
        return some(all);
    }

    @ParameterizedTest
    @MethodSource("promises")
    void aRunIsAsItWasAskedToBe(Promise promise) {
        String run = "one tide to lift it";
        Speech plain = plain(promise.voice());
        Speech made = marked(promise.voice(), mark(run, promise.instruction()));
        Sound before = cut(plain, run);
        Sound after = cut(made, run);
        double outside = switch (promise.instruction().id()) {
            case "pitch" -> interval(before, after);
            case "pace" -> before.seconds() / after.seconds() * 100;
            default -> decibels(after) - decibels(before);
        };
        assertThat(outside).as(promise.toString()).isCloseTo(promise.value(), within(promise.tolerance()));
        assertThat(made.measurement().marks().get(0))
                .as("what is shown beside the request")
                .isCloseTo(promise.value(), within(promise.tolerance()));
        // the rest of the line is left alone
        Sound others = cut(made, "the sling is rated");
        assertThat(others.seconds()).isCloseTo(cut(plain, "the sling is rated").seconds(), within(0.002));
        assertThat(interval(cut(plain, "the sling is rated"), others)).isCloseTo(0, within(0.3));
    }

    /** Wide requests: by Praat from 35 to 1,000 Hz. What our own meter can't see isn't claimed. */
    @ParameterizedTest
    @CsvSource({"isla", "hamish", "keziah", "aldric", "morwenna", "bram", "marnie", "rufus", "farquhar"})
    void anOctaveIsWithinTwiceThePromiseOrNotClaimed(String voice) {
        String run = "one tide to lift it";
        double own = Praat.pitch(cut(plain(voice), run));
        for (double semitones : new double[] {-12, -9, 9, 12}) {
            Speech made = marked(voice, mark(run, new Instruction.Pitch(semitones)));
            double hertz = Praat.pitch(cut(made, run), Math.max(35, own * Math.pow(2, semitones / 12) * 0.6), 1_000);
            assertThat(12 * Math.log(hertz / own) / Math.log(2))
                    .as(voice + " " + semitones)
                    .isCloseTo(semitones, within(1.4));
            Double shown = made.measurement().marks().get(0);
            assertThat(shown == null || Math.abs(shown - semitones) < 1.4)
                    .as(voice + " says " + shown + " of " + semitones)
                    .isTrue();
        }
    }

    static Stream<Promise> pauses() {
        List<Promise> all = new ArrayList<>();
        for (String voice : VOICES) {
            // inside a phrase, at a comma, at a full stop
            for (String word : new String[] {"crew", "lift", "out", "most", "it."}) {
                for (int millis : new int[] {100, 300, 800}) {
                    all.add(new Promise(voice + " " + word, new Instruction.Pause(millis), millis, 20));
                }
            }
        }
        return some(all);
    }

    @ParameterizedTest
    @MethodSource("pauses")
    void aPauseIsAsLongAsItWasAskedToBe(Promise promise) {
        String voice = promise.voice().split(" ")[0];
        String word = promise.voice().split(" ")[1].replace(".", "");
        int at = promise.voice().endsWith(".") ? LINE.indexOf("it.") : LINE.indexOf(word);
        Speech made = marked(voice, Mark.own(at, at + word.length(), promise.instruction()));
        int i = word(made, at);
        double end = made.words().get(i).endSample() / (double) made.sound().rate();
        double next =
                made.words().get(i + 1).startSample() / (double) made.sound().rate();
        Silences.Silence silence = Silences.of(made.sound()).stream()
                .filter(s -> s.from() < next - 0.01 && s.to() > end + 0.01)
                .findFirst()
                .orElse(new Silences.Silence(0, 0));
        assertThat(silence.seconds() * 1000)
                .as(promise.toString())
                .isCloseTo(promise.value(), within(promise.tolerance()));
        assertThat(made.measurement().marks().get(0)).isCloseTo(promise.value(), within(promise.tolerance()));
        assertThat(end).as("the word ends where its rest starts").isCloseTo(silence.from(), within(0.06));
        assertThat(next).as("the next one starts where it ends").isCloseTo(silence.to(), within(0.06));
    }

    @ParameterizedTest
    @ValueSource(strings = {"isla", "hamish", "keziah", "aldric", "marnie", "rufus", "farquhar"})
    void strongStressIsHigherLongerAndLouderAndReducedTheOtherWay(String id) {
        Speech plain = plain(id);
        for (String word : new String[] {"crew", "tide", "rated"}) {
            Sound before = cut(plain, word);
            Speech strong = marked(id, mark(word, new Instruction.Stress(Instruction.Level.STRONG)));
            Sound after = cut(strong, word);
            assertThat(interval(before, after)).as(word + " by Praat").isBetween(2.0, 4.0);
            assertThat(after.seconds() / before.seconds()).isGreaterThan(1.1);
            assertThat(decibels(after) - decibels(before)).isGreaterThan(2.0);
            Sound neighbour = cut(strong, "have one");
            assertThat(interval(cut(plain, "have one"), neighbour)).isCloseTo(0, within(0.5));
            assertThat(decibels(neighbour) - decibels(cut(plain, "have one"))).isCloseTo(0, within(0.5));
            Sound weak = cut(marked(id, mark(word, new Instruction.Stress(Instruction.Level.REDUCED))), word);
            assertThat(interval(before, weak)).isBetween(-4.0, -2.0);
            assertThat(weak.seconds() / before.seconds()).isLessThan(0.9);
            assertThat(decibels(weak) - decibels(before)).isLessThan(-2.0);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"isla", "hamish", "keziah", "aldric", "marnie", "rufus", "farquhar", "otis"})
    void rangeNoughtIsMonotoneAndAWhisperHasNoVoice(String id) {
        String run = "one tide to lift it";
        assertThat(PitchMeter.track(cut(marked(id, mark(run, new Instruction.Range(0))), run))
                        .spreadSemitones())
                .isLessThan(0.5);
        Sound whispered = cut(marked(id, mark(run, new Instruction.Whisper())), run);
        assertThat(PitchMeter.track(whispered).voicedShare()).isLessThan(0.12);
        assertThat(whispered.seconds()).isEqualTo(cut(plain(id), run).seconds());
        assertThat(decibels(whispered) - decibels(cut(plain(id), run)))
                .as("about as loud")
                .isBetween(-4.0, 1.0);
    }

    @ParameterizedTest
    @ValueSource(strings = {"isla", "hamish", "marnie", "rufus"})
    void noJointClicksAndWordTimesStayInOrder(String id) {
        Speech made = marked(
                id,
                mark("crew", new Instruction.Stress(Instruction.Level.STRONG)),
                mark("one tide to lift it", new Instruction.Pitch(-4)),
                mark("tide to", new Instruction.Pace(130)),
                mark("have", new Instruction.Pause(250)),
                mark("lift", new Instruction.Pause(400)),
                mark("rated for most", new Instruction.Volume(-6)),
                mark("Nobody", new Instruction.Whisper()),
                mark("it", new Instruction.Breath(Instruction.Depth.DEEP)));
        assertThat(step(made.sound()))
                .as("the largest step from sample to sample")
                .isLessThanOrEqualTo(step(plain(id).sound()) * 1.5f);
        for (int i = 0; i < made.words().size(); i++) {
            assertThat(made.words().get(i).endSample())
                    .isGreaterThan(made.words().get(i).startSample());
            assertThat(made.words().get(i).endSample())
                    .isLessThanOrEqualTo(
                            i + 1 < made.words().size()
                                    ? made.words().get(i + 1).startSample()
                                    : made.sound().samples().length);
        }
    }

    private static float step(Sound sound) {
        float most = 0;
        for (int i = 1; i < sound.samples().length; i++) {
            most = Math.max(most, Math.abs(sound.samples()[i] - sound.samples()[i - 1]));
        }
        return most;
    }

    @Test
    void aBreathLiesInsideItsRestAndTheRestKeepsItsLength() {
        Mark rest = mark("out", new Instruction.Pause(700));
        Speech silent = marked("isla", rest);
        for (Instruction.Depth depth : Instruction.Depth.values()) {
            Speech breathing = marked("isla", rest, mark("out", new Instruction.Breath(depth)));
            assertThat(breathing.sound().samples()).hasSameSizeAs(silent.sound().samples());
            assertThat(breathing.words()).isEqualTo(silent.words());
            int i = word(breathing, LINE.indexOf("out"));
            Sound breath = breathing
                    .sound()
                    .cut(
                            breathing.words().get(i).endSample(),
                            breathing.words().get(i + 1).startSample());
            assertThat(decibels(breath) - decibels(plain("isla").sound()))
                    .as(depth + ", under the speech")
                    .isBetween(-42.0, -22.0);
            assertThat(PitchMeter.track(breath).voicedShare()).isLessThan(0.2);
        }
    }

    @Test
    void habitsOfCommasAndStopsHoldWhereNoMarkSaysOtherwise() {
        Recipe recipe = recipe("isla").with(new Score(List.of(), new PauseDefaults(150, 650, null), 0, 0));
        List<Silences.Silence> silences = Silences.of(NARRATOR.render(recipe).sound());
        assertThat(silences)
                .anySatisfy(s -> assertThat(s.seconds()).isCloseTo(0.150, within(0.02)))
                .anySatisfy(s -> assertThat(s.seconds()).isCloseTo(0.650, within(0.02)));
        Recipe apart = recipe("isla").with(new Score(List.of(), new PauseDefaults(null, null, 1_000), 0, 0));
        assertThat(Silences.of(NARRATOR.render(apart).sound()))
                .anySatisfy(s -> assertThat(s.seconds()).isCloseTo(1.0, within(0.02)));
    }

    @Test
    void livelinessIsBoundedSeededAndNothingAtNought() {
        Recipe plain = recipe("isla");
        Speech once = NARRATOR.render(plain.with(new Score(List.of(), PauseDefaults.NONE, 100, 7)));
        Speech again = NARRATOR.render(plain.with(new Score(List.of(), PauseDefaults.NONE, 100, 7)));
        Speech other = NARRATOR.render(plain.with(new Score(List.of(), PauseDefaults.NONE, 100, 8)));
        assertThat(java.util.Arrays.equals(once.sound().samples(), again.sound().samples()))
                .as("the same seed")
                .isTrue();
        assertThat(java.util.Arrays.equals(once.sound().samples(), other.sound().samples()))
                .as("another seed")
                .isFalse();
        assertThat(plain.with(new Score(List.of(), PauseDefaults.NONE, 0, 8)).hash())
                .isEqualTo(plain.hash());
        for (Speech lively : List.of(once, other)) {
            for (int i = 0; i + 1 < lively.words().size(); i++) {
                double before = plain("isla").words().get(i + 1).startSample()
                        - plain("isla").words().get(i).startSample();
                double after = lively.words().get(i + 1).startSample()
                        - lively.words().get(i).startSample();
                // 6 % of a word and 20 % of a rest at most
                assertThat(after / before).isBetween(0.79, 1.21);
            }
            assertThat(lively.sound().seconds())
                    .isCloseTo(
                            plain("isla").sound().seconds(),
                            within(0.06 * plain("isla").sound().seconds()));
            assertThat(interval(plain("isla").sound(), lively.sound())).isBetween(-0.6, 0.6);
        }
    }
}
