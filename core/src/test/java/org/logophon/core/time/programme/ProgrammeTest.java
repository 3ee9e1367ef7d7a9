package org.logophon.core.time.programme;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class ProgrammeTest {

    private static Programme.Entry<String> entry(String cue, long length, long gap) {
        return new Programme.Entry<>(cue, new SampleCount(length), new SampleCount(gap));
    }

    @Test
    void eachCueStartsWhereTheOneBeforeItEndsAndItsGapIsOver() {
        Programme<String> programme =
                Programme.inOrder(List.of(entry("010", 48_001, 19_200), entry("020", 7, 0), entry("030", 480, 48_000)));
        assertThat(programme.clips()).extracting(clip -> clip.start().samples()).containsExactly(0L, 67_201L, 67_208L);
        assertThat(programme.length()).as("nothing follows the last clip").isEqualTo(new SampleCount(67_688));
        assertThat(programme.until(0)).isEqualTo(new SampleCount(67_201));
        assertThat(Programme.inOrder(List.<Programme.Entry<String>>of()).length())
                .isEqualTo(SampleCount.ZERO);
    }

    /** Nine hours of odd lengths: a sum of floating seconds would be off by then. */
    @Property(tries = 50, seed = "1")
    void noSampleIsLostHoweverLongItRuns(
            @ForAll @Size(min = 1, max = 400) List<@LongRange(min = 0, max = 4_000_000) Long> lengths,
            @ForAll @IntRange(min = 0, max = 10_000) int gapMillis) {
        List<Programme.Entry<String>> entries = new ArrayList<>();
        BigInteger sum = BigInteger.ZERO;
        for (Long length : lengths) {
            entries.add(new Programme.Entry<>("", new SampleCount(length), SampleCount.ofMillis(gapMillis)));
            sum = sum.add(BigInteger.valueOf(length));
        }
        sum = sum.add(BigInteger.valueOf(48L * gapMillis * (lengths.size() - 1)));
        assertThat(BigInteger.valueOf(Programme.inOrder(entries).length().samples()))
                .isEqualTo(sum);
    }

    /** 44,100 samples of a second are 48,000 of ours; one sample of 44.1 kHz is 1.088 of ours, nearest to 1. */
    @Test
    void aSoundOfAnotherRateIsAsLongAsItsTime() {
        assertThat(SampleCount.converted(44_100, 44_100)).isEqualTo(new SampleCount(48_000));
        assertThat(SampleCount.converted(1, 44_100)).isEqualTo(new SampleCount(1));
        assertThat(SampleCount.converted(16_000L * 3_600 * 24, 16_000)).isEqualTo(SampleCount.ofMillis(86_400_000));
        assertThat(SampleCount.converted(12_345, 48_000)).isEqualTo(new SampleCount(12_345));
    }
}
