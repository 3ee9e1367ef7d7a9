package org.logophon.core.review.translation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class PairingTest {

    private static final List<String> FIRST = List.of("a", "b", "c", "d");

    @Test
    void whatIsKnownStaysAndWhatLiesBetweenIsPairedInOrder() {
        assertThat(Pairing.of(FIRST, List.of("1", "2", "3", "4"), Map.of("1", "a", "4", "d")))
                .isEqualTo(Map.of("1", "a", "2", "b", "3", "c", "4", "d"));
        assertThat(Pairing.of(FIRST, List.of("1", "2", "3", "4"), Map.of()))
                .containsEntry("3", "c")
                .hasSize(4);
    }

    @Test
    void whereTheNumbersDifferNothingIsGuessed() {
        assertThat(Pairing.of(FIRST, List.of("1", "2", "4"), Map.of("1", "a", "4", "d")))
                .isEqualTo(Map.of("1", "a", "4", "d"));
        assertThat(Pairing.of(FIRST, List.of("1", "2", "x", "3", "4"), Map.of("1", "a", "3", "c", "4", "d")))
                .isEqualTo(Map.of("1", "a", "3", "c", "4", "d"));
    }

    @Test
    void noCueIsStoodForTwiceAndWhatIsGoneIsForgotten() {
        assertThat(Pairing.of(FIRST, List.of("1", "2"), Map.of("1", "a", "2", "a")))
                .containsEntry("1", "a")
                .hasSize(1);
        assertThat(Pairing.of(List.of("a"), List.of("1"), Map.of("1", "gone"))).isEqualTo(Map.of("1", "a"));
        assertThat(Pairing.of(FIRST, List.of("3", "1"), Map.of("3", "c", "1", "a")))
                .as("another order is another order")
                .isEqualTo(Map.of("3", "c", "1", "a"));
        assertThat(Pairing.of(List.<String>of(), List.of("1"), Map.of())).isEmpty();
    }
}
