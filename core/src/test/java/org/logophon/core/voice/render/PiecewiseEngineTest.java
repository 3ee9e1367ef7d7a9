package org.logophon.core.voice.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.NotBlank;
import org.junit.jupiter.api.Test;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Terms;
import org.logophon.core.voice.Voice;

class PiecewiseEngineTest {

    private static final int RATE = 22_050;

    private static Voice limited(int most) {
        return new Voice(
                "v",
                "Vera",
                "en-GB",
                "English",
                "",
                Gender.FEMALE,
                Age.GROWN,
                List.of(),
                "test",
                "x",
                EnumSet.of(Ability.PACE),
                EnumSet.noneOf(Ability.class),
                List.of(),
                new Terms(most, new BigDecimal("0.01"), "EUR"));
    }

    /** Hums 50 ms a character, each answer at another level, with quiet around it. */
    private static final class Humming implements SpeechEngine {

        private final List<String> asked = new ArrayList<>();

        @Override
        public String version(Voice voice) {
            return "humming 1";
        }

        @Override
        public Utterance speak(SpeechRequest request) {
            asked.add(request.text().text());
            double dbfs = -20 - 2.0 * (asked.size() % 3);
            Sound sound = Tones.joined(
                    Tones.of(i -> 0, 0.2, RATE),
                    Tones.sine(200, dbfs, 0.05 * request.text().text().length(), RATE),
                    Tones.of(i -> 0, 0.3, RATE));
            return new Utterance(sound, List.of(new Utterance.WordStart(0, (int) (0.2 * RATE))), List.of());
        }
    }

    @Test
    void aLongTextIsCutAtSentencesThenAtClausesThenAtWords() {
        String text = "One short sentence. Another one here. This sentence is longer than that, and has a comma. "
                + "Wordswithoutanyspace go on";
        List<RequestCuts.RequestPart> pieces = RequestCuts.cut(SpokenText.of(text), 40, "en-GB");
        assertThat(pieces)
                .extracting(piece -> piece.text().text().strip())
                .containsExactly(
                        "One short sentence. Another one here.",
                        "This sentence is longer than that,",
                        "and has a comma.",
                        "Wordswithoutanyspace go on");
        assertThat(pieces)
                .extracting(RequestCuts.RequestPart::joint)
                .containsExactly(
                        BoundaryType.SENTENCE, BoundaryType.SENTENCE, BoundaryType.CLAUSE, BoundaryType.SENTENCE);
    }

    @Property(tries = 200, seed = "1")
    void noPieceIsOverTheLimitAndNoLetterIsLost(
            @ForAll @NotBlank String text, @ForAll @IntRange(min = 1, max = 40) int most) {
        SpokenText spoken = SpokenText.of(text);
        List<RequestCuts.RequestPart> pieces = RequestCuts.cut(spoken, most, "en-GB");
        assertThat(pieces)
                .allSatisfy(piece -> assertThat(piece.text()
                                .text()
                                .codePointCount(0, piece.text().text().length()))
                        .isBetween(1, most));
        assertThat(pieces.stream()
                        .map(piece -> piece.text().text())
                        .collect(Collectors.joining())
                        .replace(" ", ""))
                .isEqualTo(spoken.text().replace(" ", ""));
    }

    @Test
    void joinsLeaveNoStepInLevelAndWordsStandWhereTheySound() {
        Humming engine = new Humming();
        String text =
                "The lens came by sea in forty boxes. Nobody had seen one before. It took a year to build it up again.";
        Utterance whole = new PiecewiseEngine(engine).speak(new SpeechRequest(limited(40), SpokenText.of(text), 1, 0));
        assertThat(engine.asked).hasSize(3);
        assertThat(whole.words())
                .extracting(Utterance.WordStart::codePoint)
                .containsExactly(0, text.indexOf("Nobody"), text.indexOf("It took"));
        double[] levels = whole.words().stream()
                .mapToDouble(word -> LoudnessMeter.of(
                                whole.sound().cut(word.sample() + RATE / 10, word.sample() + RATE))
                        .lufs())
                .toArray();
        for (double level : levels) {
            assertThat(level).as("each answer had another level").isCloseTo(levels[0], within(0.2));
        }
        // between two answers a sentence's pause, not the sum of their own quiet
        int end = whole.words().get(1).sample();
        int quiet = 0;
        while (Math.abs(whole.sound().samples()[end - 1 - quiet]) < 1e-4) {
            quiet++;
        }
        assertThat(quiet / (double) RATE).isCloseTo(0.34, within(0.02));
    }

    @Test
    void aTextWithinTheLimitGoesAsItIs() {
        Humming engine = new Humming();
        new PiecewiseEngine(engine).speak(new SpeechRequest(limited(500), SpokenText.of("A lamp."), 1, 0));
        new PiecewiseEngine(engine).speak(new SpeechRequest(limited(0), SpokenText.of("word ".repeat(400)), 1, 0));
        assertThat(engine.asked).hasSize(2);
    }
}
