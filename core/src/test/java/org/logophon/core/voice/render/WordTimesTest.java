package org.logophon.core.voice.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.text.reading.SaidByRule;
import org.logophon.core.voice.render.Utterance.WordStart;

class WordTimesTest {

    private static final int RATE = 10_000;

    /** Each spoken word takes a second. */
    private static List<WordTime> times(String text) {
        SpokenText spoken = SpokenText.of(text, SaidByRule.of(text, "en-US"), "en-US");
        List<WordStart> starts = IntStream.range(0, spoken.text().length())
                .filter(at -> Character.isLetter(spoken.text().charAt(at))
                        && (at == 0 || spoken.text().charAt(at - 1) == ' '))
                .boxed()
                .map(at -> new WordStart(at, 0))
                .toList();
        List<WordStart> timed = IntStream.range(0, starts.size())
                .mapToObj(i -> new WordStart(starts.get(i).codePoint(), i * RATE))
                .toList();
        return WordTimes.of(
                text,
                "en-US",
                spoken,
                new Utterance(new Sound(new float[starts.size() * RATE], RATE), timed, List.of()));
    }

    @Test
    void aWrittenFormLastsAsLongAsItsWords() {
        List<WordTime> times = times("It has 360 prisms.");
        assertThat(times).extracting(WordTime::startSample).containsExactly(0, RATE, 2 * RATE, 5 * RATE);
    }

    @Test
    void aDirectionInBracketsTakesNoTime() {
        List<WordTime> times = times("Come in. (laughs softly) It rains.");
        assertThat(times)
                .extracting(WordTime::startSample)
                .containsExactly(0, RATE, 2 * RATE, 2 * RATE, 2 * RATE, 3 * RATE);
        assertThat(times.get(1).endSample()).isEqualTo(2 * RATE);
        assertThat(times("[beat] It rains.")).extracting(WordTime::startSample).containsExactly(0, 0, RATE);
    }
}
