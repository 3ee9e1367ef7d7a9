package org.logophon.core.text.script;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class FrozenNumbersTest {

    private static List<String> complete(Set<String> used, String... known) {
        Set<String> all = new HashSet<>(used);
        Arrays.stream(known).filter(n -> n != null).forEach(all::add);
        return new FrozenNumbers(CueNumbers.DEFAULT, all).complete(Arrays.asList(known));
    }

    @Test
    void aNewCueTakesTheMiddleThenALetter() {
        assertThat(complete(Set.of(), "040", null, "050")).containsExactly("040", "045", "050");
        assertThat(complete(Set.of(), "040", null, "045")).containsExactly("040", "042", "045");
        assertThat(complete(Set.of(), "040", null, "041")).containsExactly("040", "040A", "041");
        assertThat(complete(Set.of(), "040", "040A", null, "041")).containsExactly("040", "040A", "040B", "041");
    }

    @Test
    void aNumberThatWasUsedIsNotUsedAgain() {
        assertThat(complete(Set.of("045"), "040", null, "050")).containsExactly("040", "044", "050");
        assertThat(complete(Set.of("060"), "050", null)).containsExactly("050", "061");
    }

    @Test
    void ofSeveralCuesWithOneNumberOneKeepsIt() {
        List<String> numbers = Arrays.asList("010", null, "020", "010", "020");
        assertThat(FrozenNumbers.distinct(numbers, i -> false)).containsExactly("010", null, "020", null, null);
        assertThat(FrozenNumbers.distinct(numbers, i -> i == 4)).containsExactly("010", null, null, null, "020");
        assertThat(FrozenNumbers.distinct(numbers, i -> true)).containsExactly("010", null, "020", null, null);
    }

    @Test
    void atTheEndsOfTheScript() {
        assertThat(complete(Set.of(), "010", null)).containsExactly("010", "020");
        assertThat(complete(Set.of(), null, "010")).containsExactly("005", "010");
        assertThat(complete(Set.of(), null, null, null)).containsExactly("010", "020", "030");
    }

    @Test
    void severalNewOnesAreSpreadEvenly() {
        assertThat(complete(Set.of(), "040", null, null, null, "050"))
                .containsExactly("040", "042", "044", "047", "050");
    }

    @Property(tries = 200, seed = "1")
    void numbersAreNeverAlike(@ForAll @Size(max = 40) List<@IntRange(min = 0, max = 3) Integer> shape) {
        String[] known = new String[shape.size()];
        int number = 10;
        for (int i = 0; i < known.length; i++) {
            known[i] = shape.get(i) == 0 ? CueNumbers.DEFAULT.at(number++ / 10 - 1 + i) : null;
        }
        List<String> all = complete(Set.of("045", "050"), known);
        assertThat(all).doesNotContainNull().doesNotHaveDuplicates();
        for (int i = 0; i < known.length; i++) {
            if (known[i] != null) {
                assertThat(all.get(i)).isEqualTo(known[i]);
            }
        }
    }
}
