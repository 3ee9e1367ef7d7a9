package org.logophon.core.direction.mark;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;

class MarksTest {

    private static final String LINE = "The crew have one tide to lift it out.";

    private static Mark on(String text, String words, Instruction instruction) {
        int at = text.indexOf(words);
        return Mark.own(at, at + words.length(), instruction);
    }

    private static String words(String text, Mark mark) {
        return text.substring(mark.start(), mark.end());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "pause | 804 | 800",
                "breath | deep | deep",
                "stress | strong | strong",
                "pace | 92 | 92",
                "pitch | -2.50 | -2.5",
                "range | 0 | 0",
                "loudness | 3 | 3",
                "whisper | '' | ''",
                "sound | 2004.0 -12.0 Ship’s bell 2 | 2004 -12 Ship’s bell 2",
                "style | weary 60 | sad 60",
                "style | calm | calm 100"
            })
    void aMarkIsReadAndWritten(String word, String value, String written) {
        Instruction instruction = Instruction.of(word, value);
        assertThat(instruction.value()).isEqualTo(written);
        assertThat(Instruction.of(word, instruction.value())).isEqualTo(instruction);
        assertThat(instruction.onGap())
                .isEqualTo(List.of("pause", "breath", "sound").contains(word));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "pause | 10010 | A pause goes from 0 to 10 s, and 10.01 is outside.",
                "pace | 49 | Pace goes from 50 to 200 %, and 49 is outside.",
                "pitch | NaN | A mark of pitch is a number, and “NaN” is none.",
                "pause | 42949672960 | A pause goes from 0 to 10 s, and that is outside.",
                "pitch | 13 | Pitch goes from -12 to 12 semitones",
                "pitch | high | A mark of pitch is a number, and “high” is none.",
                "sound | 800 | A mark of sound has milliseconds, a level in dB and the sound's name",
                "sound | 800 9 Bell | The level against the voice goes from -60 to 6 dB",
                "sound | 12000 -9 Bell | The gap for a sound goes from 0 to 10 s, and 12 is outside.",
                "stress | loud | “loud” is no value for a mark of stress.",
                "style | gruff | There is no style “gruff”.",
                "tremolo | 3 | There is no mark “tremolo”."
            })
    void whatCannotBeAMarkIsASentence(String word, String value, String sentence) {
        assertThatThrownBy(() -> Instruction.of(word, value))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(sentence);
    }

    @Test
    void aNewMarkTakesThePlaceOfItsKind() {
        Marks slow = Marks.NONE.with(on(LINE, "one tide to lift", new Instruction.Pace(80)), LINE);
        assertThat(slow.with(on(LINE, "one tide to lift", new Instruction.Pace(90)), LINE)
                        .all())
                .extracting(mark -> mark.instruction().value())
                .containsExactly("90");
        // a word inside a run adds up with it
        assertThat(slow.with(on(LINE, "tide", new Instruction.Pace(90)), LINE).all())
                .hasSize(2);
        // a run that reaches into another one cuts it short
        Marks cut = slow.with(on(LINE, "to lift it", new Instruction.Pace(120)), LINE);
        assertThat(cut.all()).extracting(mark -> words(LINE, mark)).containsExactly("one tide", "to lift it");
        // another kind is another matter
        assertThat(slow.with(on(LINE, "one tide to lift", new Instruction.Pitch(2)), LINE)
                        .all())
                .hasSize(2);
    }

    @Test
    void ofASoundTheVoiceKnowsItsGapAndAfterTheLastWordNothing() {
        Mark inside = on(LINE, "tide", new Instruction.OwnSound(800, -12, "Bell"));
        Mark after = on(LINE, "out", new Instruction.OwnSound(2_000, -12, "Bell"));
        Mark whisper = on(LINE, "out", new Instruction.Whisper());
        Marks marks = new Marks(List.of(inside, after, whisper));
        assertThat(marks.scored(LINE))
                .containsExactly(on(LINE, "tide", new Instruction.Pause(800)), whisper)
                .hasSameSizeAs(marks.spoken(LINE));
        assertThat(marks.sounds()).containsExactly(inside, after);
        assertThat(marks.gapAfter(LINE)).isEqualTo(2_000);
        assertThat(marks.without(after).gapAfter(LINE)).isZero();
    }

    @Test
    void marksGoWithTheirWords() {
        Marks marks = new Marks(List.of(
                on(LINE, "one tide to lift", new Instruction.Pace(80)),
                on(LINE, "out", new Instruction.Stress(Instruction.Level.STRONG)),
                on(LINE, "crew", new Instruction.Pause(300))));
        String edited = "At dawn the whole crew, we hear, have one tide, one only, to raise it.";
        Marks.Moved moved = marks.moved(LINE, edited);
        assertThat(moved.marks().all())
                .extracting(mark -> mark.instruction().id() + " " + words(edited, mark))
                .contains("pause crew");
        assertThat(moved.marks().all())
                .filteredOn(mark -> mark.instruction() instanceof Instruction.Pace)
                .singleElement()
                .satisfies(mark ->
                        assertThat(words(edited, mark)).startsWith("one tide").contains("one only"));
        assertThat(moved.lost())
                .as("what can't be matched is told")
                .extracting(mark -> words(LINE, mark))
                .containsExactly("out");
        assertThat(marks.moved(LINE, LINE).marks()).isEqualTo(marks);
    }

    @Property(tries = 200, seed = "1")
    void marksStandOnWordsAfterAnyEdit(
            @ForAll @Size(min = 1, max = 14) List<@IntRange(min = 0, max = 9) Integer> before,
            @ForAll @Size(max = 14) List<@IntRange(min = 0, max = 9) Integer> after,
            @ForAll @IntRange(min = 0, max = 13) int from,
            @ForAll @IntRange(min = 1, max = 5) int count) {
        String old = text(before);
        String now = text(after);
        List<Word> words = Words.of(old);
        int first = Math.min(from, words.size() - 1);
        int last = Math.min(words.size() - 1, first + count - 1);
        Mark mark = Mark.own(words.get(first).start(), words.get(last).end(), new Instruction.Pitch(1));
        Marks.Moved moved = new Marks(List.of(mark)).moved(old, now);
        assertThat(moved.marks().all().size() + moved.lost().size())
                .as("never both, never neither")
                .isEqualTo(1);
        assertThat(moved.marks().on(now)).isEqualTo(moved.marks());
        // where words repeat, which of them went is anybody's guess
        if (now.contains(old) && after.stream().distinct().count() == after.size()) {
            assertThat(moved.lost()).isEmpty();
            assertThat(words(now, moved.marks().all().get(0)))
                    .contains(words(old, mark).split(" ")[0]);
        }
    }

    private static String text(List<Integer> words) {
        return String.join(
                " ", words.stream().map(i -> "word" + (char) ('a' + i)).toList());
    }

    @Test
    void whatIsMarkedMovesAlongByWords() {
        String text = "The crew have one tide to lift it.";
        Mark pace = Mark.own(text.indexOf("one"), text.indexOf(" to"), new Instruction.Pace(80));
        Mark stress =
                Mark.own(text.indexOf("tide"), text.indexOf(" to"), new Instruction.Stress(Instruction.Level.STRONG));
        Mark pause = Mark.own(text.indexOf("tide"), text.indexOf(" to"), new Instruction.Pause(300));
        Mark reading = Mark.own(
                text.indexOf("one"),
                text.indexOf(" tide"),
                new Instruction.ReadAs(org.logophon.core.text.reading.PronunciationKind.WORDS, "a single"));
        Marks marks = new Marks(List.of(pace, stress, pause, reading));
        Marks later = marks.shifted(pace.start(), pace.end(), false, 2, text);
        assertThat(later.all())
                .extracting(mark -> mark.instruction().id() + ": " + text.substring(mark.start(), mark.end()))
                .containsExactly("reading: one", "pause: tide", "pace: to lift", "stress: lift");
        assertThat(later.shifted(text.indexOf("to"), text.indexOf(" it"), false, -2, text))
                .isEqualTo(marks);
        assertThat(marks.shifted(pause.start(), pause.end(), true, 1, text).all())
                .extracting(mark -> mark.instruction().id() + ": " + text.substring(mark.start(), mark.end()))
                .contains("pause: to")
                .hasSize(4);
        assertThatThrownBy(() -> marks.shifted(pace.start(), pace.end(), false, 4, text))
                .hasMessage("There are no more words that way.");
        assertThatThrownBy(() -> marks.shifted(pause.start(), pause.end(), true, 3, text))
                .as("after the last word there is no gap")
                .hasMessage("There are no more words that way.");
        assertThatThrownBy(() -> marks.shifted(0, 3, false, 1, text))
                .hasMessage("Nothing is marked there that could be moved.");
    }
}
