package org.logophon.core.voice.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumSet;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Terms;
import org.logophon.core.voice.Voice;

class NarratorTest {

    private static final Resampler ONE_RATE = (sound, rate) -> {
        throw new AssertionError("One voice has one rate.");
    };
    private static final Voice VOICE = new Voice(
            "v", "Vera", "en-GB", "English", "", Gender.FEMALE, "test", "x", EnumSet.of(Ability.PACE, Ability.PITCH));

    /** An engine that does half of the pitch it is asked for, at most 5 semitones, and 90 % of the change of pace. */
    private static class LazyEngine implements SpeechEngine {

        private final AtomicInteger renders = new AtomicInteger();

        @Override
        public String version(Voice voice) {
            return "lazy 1";
        }

        @Override
        public Utterance speak(SpeechRequest request) {
            renders.incrementAndGet();
            double semitones = Math.max(-5, Math.min(5, request.semitones() / 2));
            double seconds = 2 / (1 + 0.9 * (request.paceFactor() - 1));
            return new Utterance(
                    Tones.sine(200 * Math.pow(2, semitones / 12), -12, seconds, 22_050),
                    List.of(new Utterance.WordStart(0, 0)),
                    List.of());
        }
    }

    private static Recipe recipe(Integer pace, Double pitch) {
        return Recipe.of("A lamp.", VOICE, "lazy 1", ResolvedDirection.of(new Direction(pace, pitch, null, null)));
    }

    @Test
    void asksAgainUntilItMeasuresAsAsked() {
        Measurement reached =
                new Narrator(new LazyEngine(), ONE_RATE).render(recipe(80, 4.0)).measurement();
        assertThat(reached.pacePercent()).isCloseTo(80, within(80 * 0.03));
        assertThat(reached.semitones()).isCloseTo(4, within(0.5));
        assertThat(reached.misses(0.8, 4.0, VOICE)).isEmpty();
    }

    @Test
    void whatTheEngineLeavesOpenIsClosedInTheSignal() {
        LazyEngine engine = new LazyEngine();
        Measurement reached =
                new Narrator(engine, ONE_RATE).render(recipe(null, 9.0)).measurement();
        assertThat(reached.semitones()).isCloseTo(9, within(0.5));
        assertThat(reached.misses(1, 9.0, VOICE)).isEmpty();
    }

    @Test
    void whatAVoiceCannotDoByItselfIsAskedOfTheSignalAlone() {
        Voice stiff = new Voice(
                "s",
                "Stig",
                "en-GB",
                "English",
                "",
                Gender.MALE,
                Age.GROWN,
                List.of(),
                "test",
                "x",
                EnumSet.of(Ability.PACE, Ability.PITCH),
                EnumSet.noneOf(Ability.class),
                List.of(),
                Terms.FREE);
        LazyEngine engine = new LazyEngine();
        Measurement reached = new Narrator(engine, ONE_RATE)
                .render(Recipe.of(
                        "A lamp.", stiff, "lazy 1", ResolvedDirection.of(new Direction(80, -4.0, null, null))))
                .measurement();
        assertThat(engine.renders).hasValue(1);
        assertThat(reached.pacePercent()).isCloseTo(80, within(80 * 0.03));
        assertThat(reached.semitones()).isCloseTo(-4, within(0.5));
    }

    @Test
    void whatWasNotReachedIsSaid() {
        assertThat(new Measurement(92, 5.0).misses(1, 9.0, VOICE))
                .containsExactly(
                        "Pace 100 % was asked for, and Vera reaches 92 %.",
                        "Pitch +9.0 semitones was asked for, and Vera reaches +5.0.");
    }

    @Test
    void rendersOnceWhenNothingIsAsked() {
        LazyEngine engine = new LazyEngine();
        assertThat(new Narrator(engine, ONE_RATE).render(recipe(null, null)).measurement())
                .isEqualTo(Measurement.NEUTRAL);
        assertThat(engine.renders).hasValue(1);
    }

    @Test
    void silenceIsAFailureWithASentence() {
        SpeechEngine mute = new LazyEngine() {
            @Override
            public Utterance speak(SpeechRequest request) {
                return new Utterance(Tones.of(i -> 0, 1, 22_050), List.of(), List.of());
            }
        };
        assertThatThrownBy(() -> new Narrator(mute, ONE_RATE).render(recipe(null, null)))
                .hasMessageContaining("made no sound");
    }

    @Test
    void aRecipeIsAllThatDeterminesTheSpeech() {
        assertThat(recipe(90, 1.0).hash())
                .isEqualTo(recipe(90, 1.0).hash())
                .hasSize(64)
                .isNotEqualTo(recipe(91, 1.0).hash())
                .isNotEqualTo(recipe(90, 1.1).hash());
        Recipe newerEngine = new Recipe("A lamp.", java.util.List.of(), VOICE, "lazy 2", 1, 0, Treatment.NONE);
        assertThat(newerEngine.hash()).isNotEqualTo(recipe(null, null).hash());
        // loudness and the pause after a cue are applied at play and delivery
        ResolvedDirection louder = ResolvedDirection.of(new Direction(null, null, 6.0, 900));
        assertThat(Recipe.of("A lamp.", VOICE, "lazy 1", louder).hash())
                .isEqualTo(recipe(null, null).hash());
    }

    @Test
    void spokenTextKeepsTheWayBackToTheWrittenText() {
        SpokenText spoken = SpokenText.of("a\u202eb 😀 <c>\u0000é");
        assertThat(spoken.text()).isEqualTo("ab    c  é");
        assertThat(spoken.written()).containsExactly(0, 2, 3, 4, 6, 7, 8, 9, 10, 11);
    }

    @Test
    void wordsTakeTheirTimesFromEventsAndPauses() {
        String text = "At 1,240 m, so";
        SpokenText spoken = SpokenText.of(text);
        Utterance utterance = new Utterance(
                Tones.sine(200, -12, 1, 10_000),
                List.of(
                        new Utterance.WordStart(0, 0),
                        new Utterance.WordStart(3, 1_000),
                        new Utterance.WordStart(5, 2_000),
                        new Utterance.WordStart(9, 3_000),
                        new Utterance.WordStart(12, 6_000)),
                List.of(
                        new Utterance.PhonemeStart(1_000, false),
                        new Utterance.PhonemeStart(1_900, true),
                        new Utterance.PhonemeStart(2_000, false),
                        new Utterance.PhonemeStart(3_000, false),
                        new Utterance.PhonemeStart(5_000, true)));
        assertThat(WordTimes.of(text, "en-GB", spoken, utterance))
                .containsExactly(
                        new WordTime(0, 2, 0, 1_000),
                        new WordTime(3, 8, 1_000, 3_000),
                        new WordTime(9, 10, 3_000, 5_000),
                        new WordTime(12, 14, 6_000, 10_000));
    }

    @Test
    void aChangeOfMarksIsNotSaidAgain() {
        AtomicInteger asked = new AtomicInteger();
        LazyEngine lazy = new LazyEngine();
        SpeechEngine counting = new SpeechEngine() {
            @Override
            public String version(Voice voice) {
                return lazy.version(voice);
            }

            @Override
            public Utterance speak(SpeechRequest request) {
                asked.incrementAndGet();
                return lazy.speak(request);
            }
        };
        Narrator narrator = new Narrator(counting, ONE_RATE);
        Recipe recipe = recipe(80, 4.0);
        Speech plain = narrator.render(recipe);
        int once = asked.get();
        assertThat(once).as("approached in several requests").isGreaterThan(2);
        Speech louder = narrator.render(
                recipe.with(new Score(List.of(Mark.own(2, 6, new Instruction.Volume(-6))), PauseDefaults.NONE, 0, 0)));
        assertThat(asked.get()).isEqualTo(once);
        assertThat(louder.sound().samples()).isNotEqualTo(plain.sound().samples());
        assertThat(narrator.render(recipe).sound().samples())
                .as("and what was said before is as it was")
                .isEqualTo(plain.sound().samples());
        narrator.render(recipe(85, 4.0));
        assertThat(asked.get()).isGreaterThan(once);
    }

    @Test
    void whatIsRememberedWeighsNoMoreThanItMay() {
        RecentSpeech recent = new RecentSpeech(1_000);
        List<String> recipes =
                IntStream.range(0, 20).mapToObj(i -> "recipe " + i).toList();
        recipes.forEach(recipe ->
                recent.keep(recipe, new Speech(new Sound(new float[100], 8_000), List.of(), Measurement.NEUTRAL)));
        long kept = recipes.stream()
                .filter(recipe -> recent.find(recipe).isPresent())
                .count();
        assertThat(kept).as("400 bytes each").isBetween(1L, 2L);
        recent.keep("long", new Speech(new Sound(new float[1_000], 8_000), List.of(), Measurement.NEUTRAL));
        assertThat(recent.find("long")).as("longer than all there is room for").isEmpty();
    }
}
