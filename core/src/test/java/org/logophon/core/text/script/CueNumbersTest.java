package org.logophon.core.text.script;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class CueNumbersTest {

    @Property(seed = "1")
    void numbersOfOneWidthSortAsTheirCues(
            @ForAll @IntRange(min = 0, max = 900) int start,
            @ForAll @IntRange(min = 1, max = 50) int step,
            @ForAll @IntRange(min = 0, max = 1_000) int position) {
        CueNumbers numbers = new CueNumbers(start, step, 6, "");
        assertThat(numbers.at(position).compareTo(numbers.at(position + 1))).isNegative();
        assertThat(Integer.parseInt(numbers.at(position))).isEqualTo(start + step * position);
    }

    @Test
    void whatCannotNumberIsASentence() {
        assertThatThrownBy(() -> new CueNumbers(-1, 10, 3, "")).hasMessageContaining("not at -1");
        assertThatThrownBy(() -> new CueNumbers(10, 0, 3, "")).hasMessageContaining("not by 0");
        assertThatThrownBy(() -> new CueNumbers(10, 10, 0, "")).hasMessageContaining("not 0");
    }
}
