package org.logophon.app.services.rendering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;

/** When a batch ends, told while it is rendered. */
class RenderPaceTest {

    private static final int CUES = 2_000;
    private static final double LETTERS_A_SECOND = 140;
    private static final Percentage CLOSE = Percentage.withPercentage(10);

    private final Random random = new Random(19);
    private final int[] letters = random.ints(CUES, 20, 900).toArray();
    private final double[] ends = new double[CUES];

    /**
     * Three lanes, each cue by its letters, a quarter more or less.
     *
     * @param pausedAt cue before which nothing is done for a while
     */
    private void render(int pausedAt, double seconds) {
        double[] lanes = new double[3];
        for (int i = 0; i < CUES; i++) {
            if (i == pausedAt) {
                double latest = Arrays.stream(lanes).max().orElseThrow();
                Arrays.fill(lanes, latest + seconds);
            }
            Arrays.sort(lanes);
            lanes[0] += letters[i] * 3 / LETTERS_A_SECOND * (0.75 + random.nextDouble() / 2);
            ends[i] = lanes[0];
        }
        Arrays.sort(ends);
    }

    private double told(int done, double goneOn) {
        int from = Math.max(0, done - RenderPace.MOST - 1);
        RenderPace pace =
                RenderPace.of(0, goneOn, Arrays.copyOfRange(ends, from, done), Arrays.copyOfRange(letters, from, done));
        return pace.seconds(Arrays.stream(letters, done, CUES).asLongStream().sum());
    }

    @Test
    void theEndIsToldWithinTenPercent() {
        render(-1, 0);
        for (int done : new int[] {70, 100, 300, 700, 1_000, 1_500}) {
            assertThat(told(done, Double.NEGATIVE_INFINITY))
                    .as("after %d cues", done)
                    .isCloseTo(ends[CUES - 1] - ends[done - 1], CLOSE);
        }
    }

    /** What was rendered before the last ones took its own time, not theirs. */
    @Test
    void howLongItHasTakenSoFarCountsOnce() {
        double[] ends = IntStream.rangeClosed(1, 500).mapToDouble(i -> i / 10.0).toArray();
        int[] ten = new int[RenderPace.MOST + 1];
        Arrays.fill(ten, 10);
        double[] last = Arrays.copyOfRange(ends, ends.length - ten.length, ends.length);
        assertThat(RenderPace.of(0, Double.NEGATIVE_INFINITY, last, ten).lettersASecond())
                .isCloseTo(100, within(1e-6));
    }

    @Test
    void whileItWasPausedOrNoServerRanIsNotCounted() {
        render(500, 3_600);
        double goneOn = ends[499] + 3_595;
        assertThat(told(505, goneOn)).isCloseTo(ends[CUES - 1] - ends[504], CLOSE);
        assertThat(told(505, Double.NEGATIVE_INFINITY)).isCloseTo(ends[CUES - 1] - ends[504], CLOSE);
    }

    @Test
    void nothingIsToldOfWhatHasNotBegun() {
        assertThat(RenderPace.UNKNOWN.seconds(1_000)).isEqualTo(-1);
        assertThat(RenderPace.of(0, Double.NEGATIVE_INFINITY, new double[] {2}, new int[] {100})
                        .lettersASecond())
                .isCloseTo(50, within(1e-9));
    }

    @Test
    void itIsSaidAsPeopleSayIt() {
        assertThat(left(40)).isEqualTo("40 s");
        assertThat(left(170)).isEqualTo("3 min");
        assertThat(left(4_800)).isEqualTo("1 h 20 min");
    }

    private static String left(long seconds) {
        return new Batch(null, 2, 1, 0, "001", false, false, seconds).left();
    }
}
