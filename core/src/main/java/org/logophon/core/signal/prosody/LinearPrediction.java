package org.logophon.core.signal.prosody;

/**
 * Linear prediction of a frame: the filter whose resonances are those of the vocal tract, by autocorrelation and the
 * recursion of Levinson and Durbin (Makhoul, Proceedings of the IEEE 63, 1975).
 *
 * @param filter a₁…aₚ of the prediction x[n] = −Σ aₖ·x[n−k]
 * @param energy of what the prediction leaves, per sample
 */
record LinearPrediction(double[] filter, double energy) {

    /** A touch of white noise keeps the recursion steady where a frame is nearly silent: 50 dB under it. */
    private static final double FLOOR = 1.00001;

    /** @param frame windowed samples */
    static LinearPrediction of(double[] frame, int order) {
        double[] r = new double[order + 1];
        for (int lag = 0; lag <= order; lag++) {
            for (int i = lag; i < frame.length; i++) {
                r[lag] += frame[i] * frame[i - lag];
            }
        }
        return ofCorrelation(r, frame.length);
    }

    /** @param r autocorrelation at lags 0…p @param length samples that it was summed over */
    static LinearPrediction ofCorrelation(double[] r, int length) {
        int order = r.length - 1;
        double[] a = new double[order + 1];
        a[0] = 1;
        double error = r[0] * FLOOR + 1e-12;
        for (int i = 1; i <= order; i++) {
            double sum = r[i];
            for (int k = 1; k < i; k++) {
                sum += a[k] * r[i - k];
            }
            double reflection = -sum / error;
            double[] next = a.clone();
            for (int k = 1; k < i; k++) {
                next[k] = a[k] + reflection * a[i - k];
            }
            next[i] = reflection;
            a = next;
            error *= 1 - reflection * reflection;
        }
        double[] filter = new double[order];
        System.arraycopy(a, 1, filter, 0, order);
        return new LinearPrediction(filter, Math.max(0, error) / length);
    }

    /** Enough resonances for a rate: two a kHz, and two for the slope. */
    static int order(int rate) {
        return 2 + rate / 1000;
    }
}
