package org.logophon.core.loudness;

import java.util.Arrays;

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
    private static final int BLOCK = 64;
    /** No phase can make more than this of samples of magnitude 1, so a quieter stretch needs no filtering. */
    private static final float MOST_GAIN = mostGain();

    private final float[] tail = new float[TAPS - 1];
    private float peak;

    public static double of(float[] samples) {
        TruePeak meter = new TruePeak();
        meter.add(samples, samples.length);
        return meter.end();
    }

    public void add(float[] samples, int length) {
        // a sample is a peak already: starting from the largest, most stretches are seen to be too quiet to pass it
        peak = Math.max(peak, loudest(samples, 0, length));
        int history = tail.length;
        int head = Math.min(length, history);
        float[] seam = Arrays.copyOf(tail, history + head);
        System.arraycopy(samples, 0, seam, history, head);
        filter(seam, 0, head);
        for (int from = 0; from + history < length; from += BLOCK) {
            int to = Math.min(length - history, from + BLOCK);
            if (loudest(samples, from, to + history) * MOST_GAIN > peak) {
                filter(samples, from, to);
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
            float most = Math.abs(samples[i]);
            for (float[] phase : PHASES) {
                float up = 0;
                float down = 0;
                for (int t = 0; t < TAPS; t++) {
                    up += joined[i + t] * phase[TAPS - 1 - t];
                    down += joined[i + t] * phase[t];
                }
                most = Math.max(most, Math.max(Math.abs(up), Math.abs(down)));
            }
            into[i] = most;
        }
    }

    private void filter(float[] joined, int from, int to) {
        float most = peak;
        for (int i = from; i < to; i++) {
            for (float[] phase : PHASES) {
                float up = 0;
                float down = 0;
                for (int t = 0; t < TAPS; t++) {
                    up += joined[i + t] * phase[TAPS - 1 - t];
                    down += joined[i + t] * phase[t];
                }
                most = Math.max(most, Math.max(Math.abs(up), Math.abs(down)));
            }
        }
        peak = most;
    }

    private static float loudest(float[] samples, int from, int to) {
        float high = 0;
        float low = 0;
        for (int i = from; i < to; i++) {
            float sample = samples[i];
            high = sample > high ? sample : high;
            low = sample < low ? sample : low;
        }
        return Math.max(high, -low);
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
