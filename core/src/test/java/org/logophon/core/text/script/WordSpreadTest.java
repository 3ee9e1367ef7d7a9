package org.logophon.core.text.script;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class WordSpreadTest {

    @Test
    void wordsFollowOneAnotherAndFillTheirTime() {
        String text = "At four, the keeper lit the lamp.";
        List<WordSpread> words = WordSpread.over(text, 3);
        assertThat(words).hasSize(7);
        for (int i = 1; i < words.size(); i++) {
            assertThat(words.get(i).fromSeconds())
                    .isGreaterThanOrEqualTo(words.get(i - 1).toSeconds());
        }
        assertThat(words.get(0).fromSeconds()).isZero();
        assertThat(words.get(6).toSeconds()).isCloseTo(3, within(1e-9));
        assertThat(words.get(2).fromSeconds() - words.get(1).toSeconds())
                .as("a rest at the comma")
                .isGreaterThan(words.get(1).fromSeconds() - words.get(0).toSeconds() + 0.1);
        assertThat(text.substring(words.get(3).start(), words.get(3).end())).isEqualTo("keeper");
        assertThat(WordSpread.over("…", 1)).isEmpty();
    }
}
