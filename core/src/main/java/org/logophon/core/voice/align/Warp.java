package org.logophon.core.voice.align;

import java.util.Arrays;

/**
 * Dynamic time warping (Sakoe and Chiba, IEEE ASSP 26, 1978): the path through two sequences that holds like against
 * like. Long ones are first warped at half their steps and then again near that path (Salvador and Chan, Intelligent
 * Data Analysis 11, 2007), so that work and memory grow with the length and not with its square.
 */
final class Warp {

    /** Up to so many steps the whole plane is looked at. */
    private static final int WHOLE = 200;
    /** How far from the coarser path is looked, in steps. */
    private static final int RADIUS = 30;

    private static final byte BOTH = 0;
    private static final byte FIRST = 1;
    private static final byte SECOND = 2;

    private Warp() {}

    /**
     * @param first  a step's values each
     * @param second likewise
     * @return for each step of {@code first}, the first step of {@code second} on the path; and in the last place the
     *     last step of {@code second}
     */
    static int[] path(float[][] first, float[][] second) {
        int[] low = new int[first.length];
        int[] high = new int[first.length];
        if (first.length <= WHOLE || second.length <= WHOLE) {
            Arrays.fill(high, second.length - 1);
        } else {
            int[] coarse = path(halved(first), halved(second));
            for (int i = 0; i < first.length; i++) {
                int half = Math.min(i / 2, coarse.length - 2);
                low[i] = Math.max(0, 2 * coarse[half] - RADIUS);
                high[i] = Math.min(second.length - 1, 2 * coarse[half + 1] + 1 + RADIUS);
            }
            low[0] = 0;
            high[first.length - 1] = second.length - 1;
        }
        return within(first, second, low, high);
    }

    private static float[][] halved(float[][] frames) {
        float[][] half = new float[(frames.length + 1) / 2][];
        for (int i = 0; i < half.length; i++) {
            float[] one = frames[2 * i];
            float[] other = frames[Math.min(frames.length - 1, 2 * i + 1)];
            half[i] = new float[one.length];
            for (int c = 0; c < one.length; c++) {
                half[i][c] = (one[c] + other[c]) / 2;
            }
        }
        return half;
    }

    private static int[] within(float[][] first, float[][] second, int[] low, int[] high) {
        byte[][] from = new byte[first.length][];
        float[] before = null;
        int beforeLow = 0;
        for (int i = 0; i < first.length; i++) {
            float[] cost = new float[high[i] - low[i] + 1];
            from[i] = new byte[cost.length];
            for (int j = low[i]; j <= high[i]; j++) {
                int k = j - low[i];
                float diagonal = at(before, beforeLow, j - 1);
                float up = at(before, beforeLow, j);
                float left = k > 0 ? cost[k - 1] : Float.MAX_VALUE;
                float least = Math.min(diagonal, Math.min(up, left));
                from[i][k] = least == diagonal ? BOTH : least == up ? FIRST : SECOND;
                cost[k] = (i == 0 && j == 0 ? 0 : least) + distance(first[i], second[j]);
            }
            before = cost;
            beforeLow = low[i];
        }
        int[] path = new int[first.length + 1];
        path[first.length] = second.length - 1;
        int j = second.length - 1;
        for (int i = first.length - 1; i >= 0; ) {
            path[i] = j;
            byte came = from[i][j - low[i]];
            if (i == 0 && j == 0) {
                break;
            }
            i -= came == SECOND ? 0 : 1;
            j -= came == FIRST ? 0 : 1;
        }
        return path;
    }

    private static float at(float[] cost, int low, int j) {
        return cost == null || j < low || j - low >= cost.length ? Float.MAX_VALUE : cost[j - low];
    }

    static float distance(float[] one, float[] other) {
        float sum = 0;
        for (int c = 0; c < one.length; c++) {
            float difference = one[c] - other[c];
            sum += difference * difference;
        }
        return (float) Math.sqrt(sum);
    }
}
