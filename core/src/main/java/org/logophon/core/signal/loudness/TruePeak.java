package org.logophon.core.signal.loudness;

import java.util.Arrays;
import org.logophon.core.signal.sound.Loudest;

/**
 * True peak by ITU-R BS.1770-5 Annex 2: the largest absolute value after 4× oversampling with the interpolating filter
 * printed there. Fed in pieces; one channel.
 */
public final class TruePeak {

    /** Annex 2, table 1: four phases of twelve taps. Phases 2 and 3 are 1 and 0 reversed. */
    private static final float[][] PHASES = {
        {
            0.0017089843750f,
            0.0109863281250f,
            -0.0196533203125f,
            0.0332031250000f,
            -0.0594482421875f,
            0.1373291015625f,
            0.9721679687500f,
            -0.1022949218750f,
            0.0476074218750f,
            -0.0266113281250f,
            0.0148925781250f,
            -0.0083007812500f
        },
        {
            -0.0291748046875f,
            0.0292968750000f,
            -0.0517578125000f,
            0.0891113281250f,
            -0.1665039062500f,
            0.4650878906250f,
            0.7797851562500f,
            -0.2003173828125f,
            0.1015625000000f,
            -0.0582275390625f,
            0.0330810546875f,
            -0.0189208984375f
        },
    };

    static final int TAPS = 12;
    private static final int HALF = TAPS / 2;
    /** Half the sum, and half the difference, of the taps that lie opposite one another: six of each phase. */
    private static final float[] EVEN = half(1);

    private static final float[] ODD = half(-1);

    private static final int BLOCK = 32;
    /** No phase can make more than this of samples of magnitude 1, so a quieter stretch needs no filtering. */
    static final float MOST_GAIN = mostGain();

    private final float[] tail = new float[TAPS - 1];
    private float peak;

    public static double of(float[] samples) {
        TruePeak meter = new TruePeak();
        meter.add(samples, samples.length);
        return meter.end();
    }

    public void add(float[] samples, int length) {
        int history = tail.length;
        int head = Math.min(length, history);
        float[] seam = Arrays.copyOf(tail, history + head);
        System.arraycopy(samples, 0, seam, history, head);
        // a sample is a peak already: starting from the largest, most stretches are seen to be too quiet to pass it
        float[] loudest = loudestOfBlocks(samples, length);
        for (float block : loudest) {
            peak = Math.max(peak, block);
        }
        filter(seam, 0, head);
        for (int block = 0; block * BLOCK + history < length; block++) {
            float around = block + 1 < loudest.length ? Math.max(loudest[block], loudest[block + 1]) : loudest[block];
            if (around * MOST_GAIN > peak) {
                filter(samples, block * BLOCK, Math.min(length - history, (block + 1) * BLOCK));
            }
        }
        if (length >= history) {
            System.arraycopy(samples, length - history, tail, 0, history);
        } else {
            System.arraycopy(seam, head, tail, 0, history);
        }
    }

    /** The peak of a sound that ends here, with what rings on after its last sample. */
    public double end() {
        add(new float[TAPS], TAPS);
        return peak;
    }

    /** Factor of full scale; 1 is 0 dBTP. */
    public double peak() {
        return peak;
    }

    /** The largest true peak within each sample's neighbourhood is at most this. */
    static void envelope(float[] samples, float[] into) {
        float[] joined = new float[samples.length + TAPS - 1];
        System.arraycopy(samples, 0, joined, TAPS / 2, samples.length);
        for (int i = 0; i < samples.length; i++) {
            into[i] = Math.max(Math.abs(samples[i]), between(joined, i));
        }
    }

    private void filter(float[] joined, int from, int to) {
        float most = peak;
        for (int i = from; i < to; i++) {
            most = Math.max(most, between(joined, i));
        }
        peak = most;
    }

    /**
     * The largest value of the four phases over twelve samples. A phase and its reverse share their products: with a
     * sum over what lies opposite one another (even) and one over its differences (odd) they are even + odd and even −
     * odd, and the larger of the two is |even| + |odd|.
     */
    private static float between(float[] joined, int at) {
        float even0 = 0;
        float odd0 = 0;
        float even1 = 0;
        float odd1 = 0;
        for (int t = 0; t < HALF; t++) {
            float left = joined[at + t];
            float right = joined[at + TAPS - 1 - t];
            float sum = left + right;
            float difference = left - right;
            even0 += sum * EVEN[t];
            odd0 += difference * ODD[t];
            even1 += sum * EVEN[HALF + t];
            odd1 += difference * ODD[HALF + t];
        }
        return Math.max(Math.abs(even0) + Math.abs(odd0), Math.abs(even1) + Math.abs(odd1));
    }

    private static float[] half(int sign) {
        float[] half = new float[2 * HALF];
        for (int phase = 0; phase < 2; phase++) {
            for (int t = 0; t < HALF; t++) {
                half[phase * HALF + t] = (PHASES[phase][t] + sign * PHASES[phase][TAPS - 1 - t]) / 2;
            }
        }
        return half;
    }

    private static float[] loudestOfBlocks(float[] samples, int length) {
        float[] loudest = new float[(length + BLOCK - 1) / BLOCK];
        for (int block = 0; block < loudest.length; block++) {
            loudest[block] = Loudest.of(samples, block * BLOCK, Math.min(length, (block + 1) * BLOCK));
        }
        return loudest;
    }

    private static float mostGain() {
        float most = 0;
        for (float[] phase : PHASES) {
            float sum = 0;
            for (float tap : phase) {
                sum += Math.abs(tap);
            }
            most = Math.max(most, sum);
        }
        return most;
    }
}
