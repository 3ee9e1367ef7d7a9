package org.logophon.core.voice.recording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** A draft from heard words: a paragraph where the speaker rests, and every doubtful word known by its place. */
class HeardDraftTest {

    private static HeardWord word(String word, double from, double sure) {
        return new HeardWord(word, from, from + 0.3, sure);
    }

    @Test
    void aRestEndsAParagraphAndDoubtfulWordsAreKnownByTheirPlace() {
        List<HeardDraft.Paragraph> draft = HeardDraft.of(
                List.of(
                        word("the", 0.2, 0.99),
                        word("lamp", 0.5, 0.3),
                        word("i", 0.8, 0.9),
                        word("lit", 1.1, 0.44),
                        word("nobody", 2.4, 0.9)),
                word -> Double.NaN);
        assertThat(draft).extracting(HeardDraft.Paragraph::text).containsExactly("The lamp I lit.", "Nobody.");
        assertThat(draft.get(0).doubtful()).containsExactly(new int[] {4, 8}, new int[] {11, 14});
        assertThat(draft.get(0).fromSeconds()).isEqualTo(0.2);
        assertThat(draft.get(0).toSeconds()).isCloseTo(1.4, within(1e-9));
        assertThat(draft.get(1).doubtful()).isEmpty();
    }

    @Test
    void nothingHeardIsNoDraft() {
        assertThat(HeardDraft.of(List.of(), word -> 0)).isEmpty();
    }

    /** Words with a rest after the third; where the voice is at its end is given. */
    private static String restingFor(double seconds, double semitones) {
        List<HeardWord> words = List.of(
                word("did", 0, 1),
                word("she", 0.3, 1),
                word("row", 0.6, 1),
                word("on", 0.9 + seconds, 1),
                word("monday", 1.2 + seconds, 1));
        return HeardDraft.of(words, word -> word.word().equals("row") ? semitones : 0)
                .get(0)
                .text();
    }

    @Test
    void aSentenceEndsWhereTheVoiceComesDownAndRests() {
        assertThat(restingFor(0.1, -4)).isEqualTo("Did she row on Monday.");
        assertThat(restingFor(0.3, -4)).isEqualTo("Did she row. On Monday.");
        assertThat(restingFor(0.3, 0)).isEqualTo("Did she row, on Monday.");
        assertThat(restingFor(0.5, 0)).isEqualTo("Did she row. On Monday.");
        assertThat(restingFor(0.5, 4)).isEqualTo("Did she row, on Monday.");
    }

    @Test
    void aQuestionIsWhatAsksAndRises() {
        List<HeardWord> words = List.of(word("did", 0, 1), word("she", 0.3, 1), word("row", 0.6, 1));
        assertThat(HeardDraft.of(words, word -> 4).get(0).text()).isEqualTo("Did she row?");
        assertThat(HeardDraft.of(words, word -> -4).get(0).text()).isEqualTo("Did she row.");
    }
}
