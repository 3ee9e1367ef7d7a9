package org.logophon.core.time.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class CuttableTest {

    private static List<String> found(String text, String language) {
        return Cuttable.of(text, language).stream()
                .map(stretch -> text.substring(stretch.start(), stretch.end()))
                .toList();
    }

    @Test
    void phrasesAdverbsAndDoubledAdjectivesCouldGo() {
        assertThat(found("The lens, so finely balanced that a child could turn it, floats slowly on mercury.", "en-GB"))
                .containsExactly("so finely balanced that a child could turn it", "slowly");
        assertThat(found("Turn the wet, heavy clay on the wheel.", "en-GB")).containsExactly("wet");
        assertThat(found("Nur die Familie, wie immer, schlief friedly.", "de")).containsExactly("wie immer");
        assertThat(found("Stop.", "en-GB")).isEmpty();
        assertThat(found("Only the family, early in July, may fly.", "en-GB")).containsExactly("early in July");
    }
}
