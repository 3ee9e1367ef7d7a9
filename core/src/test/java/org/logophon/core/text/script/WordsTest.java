package org.logophon.core.text.script;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class WordsTest {

    private static List<String> words(String text) {
        return Words.of(text).stream().map(w -> w.in(text)).toList();
    }

    @Test
    void oneWordWhereAReaderSeesOne() {
        assertThat(words("Lit the lamp at 4:52 — wind north-west, £38,500 (or 12 %?) for Dr. O’Neill’s “No. 4”."))
                .containsExactly(
                        "Lit",
                        "the",
                        "lamp",
                        "at",
                        "4:52",
                        "wind",
                        "north-west",
                        "£38,500",
                        "or",
                        "12",
                        "for",
                        "Dr",
                        "O’Neill’s",
                        "No",
                        "4");
    }

    @Test
    void combiningMarksAndEmojiDontSplitOrMakeWords() {
        assertThat(words("e\u0301te\u0301 😀 done")).containsExactly("e\u0301te\u0301", "done");
    }

    @Test
    void scriptsWithoutSpacesFallIntoDictionaryWords() {
        // UAX #29 leaves Thai to a dictionary; ICU's splits "hello" and the polite particle
        assertThat(words("สวัสดีครับ")).containsExactly("สวัสดี", "ครับ");
    }

    @Test
    void numbersOfCues() {
        assertThat(CueNumbers.DEFAULT.at(0)).isEqualTo("010");
        assertThat(CueNumbers.DEFAULT.at(150)).isEqualTo("1510");
        assertThat(new CueNumbers(1, 1, 2, "VO-").at(8)).isEqualTo("VO-09");
    }

    @Test
    void aRewrittenAndAMovedCueStayTheSame() {
        List<String> before =
                List.of("The lamp was lit.", "Fog until noon, wind light.", "The lens weighs two tonnes.", "Home.");
        assertThat(CueMatch.match(
                        before,
                        List.of("The lamp was lit.", "Fog until two, wind light.", "Brand new words here.", "Home.")))
                .containsExactly(0, 1, -1, 3);
        assertThat(CueMatch.match(
                        before,
                        List.of(
                                "Home.",
                                "The lamp was lit.",
                                "Fog until noon, wind light.",
                                "The lens weighs two tonnes.")))
                .containsExactly(3, 0, 1, 2);
    }
}
