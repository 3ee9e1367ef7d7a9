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
        List<HeardDraft.Paragraph> draft = HeardDraft.of(List.of(
                word("the", 0.2, 0.99),
                word("lamp", 0.5, 0.3),
                word("i", 0.8, 0.9),
                word("lit", 1.1, 0.59),
                word("nobody", 2.4, 0.9)));
        assertThat(draft).extracting(HeardDraft.Paragraph::text).containsExactly("The lamp I lit.", "Nobody.");
        assertThat(draft.get(0).doubtful()).containsExactly(new int[] {4, 8}, new int[] {11, 14});
        assertThat(draft.get(0).fromSeconds()).isEqualTo(0.2);
        assertThat(draft.get(0).toSeconds()).isCloseTo(1.4, within(1e-9));
        assertThat(draft.get(1).doubtful()).isEmpty();
    }

    @Test
    void nothingHeardIsNoDraft() {
        assertThat(HeardDraft.of(List.of())).isEmpty();
    }
}
