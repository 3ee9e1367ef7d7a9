package org.logophon.core.voice.figures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.input.InvalidInput;

/** Words found by a recogniser, counted by hand. */
class ClearnessTest {

    @ParameterizedTest
    @CsvSource({
        "the lamp is lit, the lamp is lit, 4, 4",
        "the lamp is lit, the land is lit, 3, 4",
        "the lamp is lit, lamp the lit, 2, 4",
        "the lamp is lit, the the big lamp is is lit up, 4, 4",
        "the lamp is lit, '', 0, 4",
        "It's lit; it's LIT., it's lit it's lit, 4, 4"
    })
    void aWordThatIsMissedOrTakenForAnotherCostsItselfAlone(String read, String heard, int found, int of) {
        assertThat(Clearness.of(read, heard)).isEqualTo(new Clearness(found, of));
    }

    @Test
    void sharesArePercent() {
        assertThat(new Clearness(209, 232).percent()).isEqualTo(90);
        assertThat(new Clearness(209, 232).missedPercent()).isBetween(9.9, 10.0);
        assertThatThrownBy(() -> new Clearness(5, 4)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void thePassageIsLongEnough() {
        assertThat(ClearnessPassage.TEXT.split("\\s+").length).isGreaterThan(200);
        assertThat(Clearness.of(ClearnessPassage.TEXT, ClearnessPassage.TEXT).missedPercent())
                .isZero();
    }

    @Test
    void aTableOfTheUsersOwnAddsItsVoices() {
        ClearnessTable table =
                ClearnessTable.shipped().with("# pocketsphinx 9\n# voice\twords found\tof\nown-a-b\t200\t232\n");
        assertThat(table.of("own-a-b")).contains(new Clearness(200, 232));
        assertThat(table.of("edwin")).isEqualTo(ClearnessTable.shipped().of("edwin"));
        for (String bad : List.of("a\tb\tc", "a\t5", "a\t9\t4")) {
            assertThatThrownBy(() -> ClearnessTable.shipped().with(bad)).isInstanceOf(InvalidInput.class);
        }
    }

    @Test
    void theShippedTableNamesItsTool() {
        assertThat(ClearnessTable.shipped().tool()).startsWith("pocketsphinx ");
        assertThat(ClearnessTable.shipped().of("nobody")).isEmpty();
    }
}
