package org.logophon.core.loudness;

import org.logophon.core.sound.Sound;

/**
 * Keeps the true peak under a ceiling: a gain that falls before a peak and rises after it, smoothed over 5 ms each way,
 * so that nothing clicks. Sound already under the ceiling comes back untouched.
 */
public final class PeakLimiter {

    private static final double REACH_SECONDS = 0.005;

    private PeakLimiter() {}

    /** @param ceiling factor of full scale that no true peak shall pass */
    public static Sound limit(Sound sound, double ceiling) {
        return TruePeak.of(sound.samples()) <= ceiling ? sound : limited(sound, ceiling);
    }

    private static Sound limited(Sound sound, double ceiling) {
        float[] in = sound.samples();
        float[] gain = new float[in.length];
        TruePeak.envelope(in, gain);
        for (int i = 0; i < gain.length; i++) {
            gain[i] = gain[i] > ceiling ? (float) (ceiling / gain[i]) : 1;
        }
        int reach = (int) Math.ceil(REACH_SECONDS * sound.rate());
        float[] smooth = averaged(leastWithin(gain, reach), reach);
        float[] out = new float[in.length];
        for (int i = 0; i < in.length; i++) {
            out[i] = in[i] * smooth[i];
        }
        // a changing gain moves the peaks between samples by a hair: what is left over is taken off the whole
        double left = TruePeak.of(out);
        Sound limited = new Sound(out, sound.rate());
        return left > ceiling ? limited.amplified(ceiling / left) : limited;
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

    /** Mean over {@code reach} on both sides; beyond the ends the gain is 1. */
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
        return at < 0 || at >= values.length ? 1 : values[at];
    }
}
