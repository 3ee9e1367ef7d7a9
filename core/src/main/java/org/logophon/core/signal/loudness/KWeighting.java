package org.logophon.core.signal.loudness;

/**
 * The two filters of ITU-R BS.1770-5 Annex 1 (a high shelf for the head, a high pass), for any sample rate. BS.1770
 * prints coefficients for 48 kHz only; these are the analogue prototypes behind them, bilinearly transformed, and give
 * the printed values at 48 kHz to seven places.
 */
final class KWeighting {

    /**
     * −600 dB: from here on a filter that rings on in silence comes to numbers so small that a processor slows down.
     */
    private static final double NOTHING = 1e-30;
    /** Samples after which that is looked at; it doesn't come to them sooner. */
    private static final int STRETCH = 1024;

    private final double b0;
    private final double b1;
    private final double b2;
    private final double a1;
    private final double a2;
    private final double c1;
    private final double c2;
    private double x1;
    private double x2;
    private double y1;
    private double y2;
    private double z1;
    private double z2;

    KWeighting(int rate) {
        double k = Math.tan(Math.PI * 1681.974450955533 / rate);
        double q = 0.7071752369554196;
        double vh = Math.pow(10, 3.999843853973347 / 20);
        double vb = Math.pow(vh, 0.4996667741545416);
        double a0 = 1 + k / q + k * k;
        b0 = (vh + vb * k / q + k * k) / a0;
        b1 = 2 * (k * k - vh) / a0;
        b2 = (vh - vb * k / q + k * k) / a0;
        a1 = 2 * (k * k - 1) / a0;
        a2 = (1 - k / q + k * k) / a0;
        double kh = Math.tan(Math.PI * 38.13547087602444 / rate);
        double qh = 0.5003270373238773;
        double h0 = 1 + kh / qh + kh * kh;
        c1 = 2 * (kh * kh - 1) / h0;
        c2 = (1 - kh / qh + kh * kh) / h0;
    }

    /** Coefficients of the shelf: b0, b1, b2, a1, a2. */
    double[] shelf() {
        return new double[] {b0, b1, b2, a1, a2};
    }

    /** Coefficients of the high pass: a1, a2; its numerator is 1, −2, 1. */
    double[] highPass() {
        return new double[] {c1, c2};
    }

    /** Filters samples at {@code from}, {@code from + stride}… up to {@code to} and gives the sum of their squares. */
    double energy(float[] samples, int from, int to, int stride) {
        double sum = 0;
        for (int start = from; start < to; start += STRETCH * stride) {
            sum += stretch(samples, start, Math.min(to, start + STRETCH * stride), stride);
        }
        return sum;
    }

    private double stretch(float[] samples, int from, int to, int stride) {
        // the state lives in locals while the loop runs: fields would cost a load and a store for each sample
        double u1 = x1;
        double u2 = x2;
        double v1 = y1;
        double v2 = y2;
        double w1 = z1;
        double w2 = z2;
        double sum = 0;
        for (int i = from; i < to; i += stride) {
            double u = samples[i];
            // what the last result is needed for comes last: the next sample waits for nothing else
            double v = b0 * u + b1 * u1 + b2 * u2 - a2 * v2 - a1 * v1;
            double w = v2 - 2 * v1 - c2 * w2 + v - c1 * w1;
            sum += w * w;
            u2 = u1;
            u1 = u;
            v2 = v1;
            v1 = v;
            w2 = w1;
            w1 = w;
        }
        x1 = u1;
        x2 = u2;
        y1 = heard(v1);
        y2 = heard(v2);
        z1 = heard(w1);
        z2 = heard(w2);
        return sum;
    }

    /** What rings on in silence ends here. */
    private static double heard(double value) {
        return value < NOTHING && value > -NOTHING ? 0 : value;
    }
}
