package org.logophon.core.text.script;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.logophon.core.ProcessorTime;

class CueMatchTest {

    private static final List<String> BEFORE =
            List.of("The lamp was lit at four.", "Nobody slept that night.", "Wind north-west, force nine.");

    @Test
    void whatStaysContinuesItselfAroundAnInsertedCue() {
        assertThat(CueMatch.match(BEFORE, List.of(BEFORE.get(0), "Fog till noon.", BEFORE.get(1), BEFORE.get(2))))
                .containsExactly(0, -1, 1, 2);
    }

    @Test
    void aRewrittenCueContinuesTheOneInItsPlace() {
        assertThat(CueMatch.match(
                        BEFORE, List.of(BEFORE.get(0), "Nobody in the tower slept that night.", BEFORE.get(2))))
                .containsExactly(0, 1, 2);
        assertThat(CueMatch.match(BEFORE, List.of(BEFORE.get(0), "Entirely other words.", BEFORE.get(2))))
                .containsExactly(0, -1, 2);
    }

    @Test
    void aCueThatMovesWholeKeepsItself() {
        assertThat(CueMatch.match(BEFORE, List.of(BEFORE.get(2), BEFORE.get(0), BEFORE.get(1))))
                .containsExactlyInAnyOrder(0, 1, 2)
                .containsExactly(2, 0, 1);
    }

    @Test
    void equalCuesKeepTheirOrder() {
        assertThat(CueMatch.match(List.of("Fog.", "Fog.", "Rain."), List.of("Fog.", "Fog.", "Fog.", "Rain.")))
                .satisfies(matched -> assertThat(matched[3]).isEqualTo(2))
                .satisfies(matched -> assertThat(Arrays.stream(matched).filter(old -> old >= 0))
                        .containsExactly(0, 1, 2));
    }

    @Test
    void aCueThatIsCutInTwoKeepsOneAndNamesTheOriginOfTheOther() {
        List<String> before = List.of("Nobody slept that night, and the lamp burned until the morning came.");
        List<String> after = List.of("Nobody slept that night,", "and the lamp burned until the morning came.");
        int[] matched = CueMatch.match(before, after);
        assertThat(Arrays.stream(matched).filter(old -> old == 0)).hasSize(1);
        int cutOut = matched[0] == 0 ? 1 : 0;
        assertThat(CueMatch.origins(before, after, matched)[cutOut]).isZero();
    }

    @Property(tries = 300, seed = "1")
    void noOldCueIsUsedTwiceAndEqualListsAreTheSame(
            @ForAll @Size(max = 12) List<@IntRange(max = 5) Integer> before,
            @ForAll @Size(max = 12) List<@IntRange(max = 5) Integer> after) {
        List<String> old = before.stream().map(i -> "Watch number " + i).toList();
        List<String> now = after.stream().map(i -> "Watch number " + i).toList();
        int[] used = Arrays.stream(CueMatch.match(old, now)).filter(i -> i >= 0).toArray();
        assertThat(Arrays.stream(used).distinct().count()).isEqualTo(used.length);
        assertThat(CueMatch.match(old, old))
                .containsExactly(IntStream.range(0, old.size()).toArray());
    }

    private static long work(int cues) {
        List<String> before = IntStream.range(0, cues).mapToObj(i -> "Word.").toList();
        List<String> after = IntStream.range(0, cues).mapToObj(i -> "Other.").toList();
        return ProcessorTime.of(() -> CueMatch.match(before, after));
    }

    /** Four times the cues; by the square it would be sixteen times the work. */
    @Test
    void aScriptThatIsReplacedWholeIsNoMoreWorkThanItHasCues() {
        work(500);
        assertThat((double) work(12_000) / work(3_000)).isLessThan(9);
    }
}
