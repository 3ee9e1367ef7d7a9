package org.logophon.core.signal.loudness;

/**
 * Keeps the true peak under a ceiling: a gain that falls before a peak and rises after it, smoothed over 5 ms each way,
 * so that nothing clicks. Works on a sound whole, or on a window of it: what lies {@link #margin} or more inside the
 * window comes out as it would of the whole.
 */
public final class PeakLimiter {

    private static final double REACH_SECONDS = 0.005;

    private final int reach;
    private final double ceiling;

    /** @param ceiling factor of full scale that no true peak shall pass */
    public PeakLimiter(int rate, double ceiling) {
        this.reach = reach(rate);
        this.ceiling = ceiling;
    }

    /** Samples on each side that have a say in what becomes of one. */
    public int margin() {
        return margin(reach);
    }

    static int margin(int reach) {
        return 2 * reach + TruePeak.TAPS;
    }

    static int reach(int rate) {
        return (int) Math.ceil(REACH_SECONDS * rate);
    }

    /**
     * The samples with their peaks brought down. A changing gain moves the peaks between samples by a hair: what is
     * over the ceiling then has to be taken off the whole.
     */
    public float[] limit(float[] in) {
        float[] gain = new float[in.length];
        TruePeak.envelope(in, gain);
        for (int i = 0; i < gain.length; i++) {
            gain[i] = gain[i] > ceiling ? (float) (ceiling / gain[i]) : 1;
        }
        return times(in, gain, reach);
    }

    /** By a gain that comes to its least values before they are due and leaves them after, smoothly. */
    static float[] times(float[] in, float[] gain, int reach) {
        if (in.length == 0) {
            return in;
        }
        float[] smooth = averaged(leastWithin(gain, reach), reach);
        float[] out = new float[in.length];
        for (int i = 0; i < in.length; i++) {
            out[i] = in[i] * smooth[i];
        }
        return out;
    }

    /** The least value within {@code reach} on both sides, by a monotone queue. */
    private static float[] leastWithin(float[] values, int reach) {
        float[] least = new float[values.length];
        int[] queue = new int[values.length];
        int head = 0;
        int size = 0;
        for (int i = 0; i < values.length + reach; i++) {
            if (i < values.length) {
                while (size > head && values[queue[size - 1]] >= values[i]) {
                    size--;
                }
                queue[size++] = i;
            }
            int centre = i - reach;
            if (centre >= 0) {
                while (queue[head] < centre - reach) {
                    head++;
                }
                least[centre] = values[queue[head]];
            }
        }
        return least;
    }

    /** Mean over {@code reach} on both sides; beyond the ends the gain is as at them: a sound may begin or end loud. */
    private static float[] averaged(float[] values, int reach) {
        float[] out = new float[values.length];
        int width = 2 * reach + 1;
        double sum = 0;
        for (int i = -reach; i < values.length + reach; i++) {
            sum += value(values, i);
            int centre = i - reach;
            if (centre >= 0) {
                out[centre] = (float) (sum / width);
                sum -= value(values, centre - reach);
            }
        }
        return out;
    }

    private static float value(float[] values, int at) {
        return values[Math.max(0, Math.min(values.length - 1, at))];
    }
}
