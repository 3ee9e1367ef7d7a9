package org.logophon.core.voice.align;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Sequences against their own stretched selves: the path is known. */
class WarpTest {

    /** A walk through twelve dimensions, as neighbouring steps of speech are alike. */
    private static float[][] walk(int steps) {
        Random random = new Random(7);
        float[][] walk = new float[steps][12];
        for (int i = 1; i < steps; i++) {
            for (int c = 0; c < 12; c++) {
                walk[i][c] = walk[i - 1][c] + (float) random.nextGaussian();
            }
        }
        return walk;
    }

    /** Short ones are looked at whole, long ones near a coarser path. */
    @ParameterizedTest
    @ValueSource(ints = {40, 190, 1_500})
    void thePathFollowsASequenceThatIsSlowedDownInItsMiddle(int steps) {
        float[][] first = walk(steps);
        int from = steps / 3;
        int to = 2 * steps / 3;
        float[][] second = new float[steps + to - from][];
        int[] truth = new int[steps];
        int at = 0;
        for (int i = 0; i < steps; i++) {
            truth[i] = at;
            second[at++] = first[i];
            if (i >= from && i < to) {
                second[at++] = first[i];
            }
        }
        int[] path = Warp.path(first, second);
        assertThat(path).hasSize(steps + 1);
        assertThat(path[steps]).isEqualTo(second.length - 1);
        for (int i = 0; i < steps; i++) {
            assertThat(path[i]).as("step " + i).isBetween(truth[i] - 1, truth[i] + 1);
        }
    }
}
