package org.logophon.loudness;

/**
 * The two filters of ITU-R BS.1770-5 Annex 1 (a high shelf for the head, a high pass), for any sample rate. BS.1770
 * prints coefficients for 48 kHz only; these are the analogue prototypes behind them, bilinearly transformed, and give
 * the printed values at 48 kHz to seven places.
 */
final class KWeighting {

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

    double next(double x) {
        double y = b0 * x + b1 * x1 + b2 * x2 - a1 * y1 - a2 * y2;
        double z = y - 2 * y1 + y2 - c1 * z1 - c2 * z2;
        x2 = x1;
        x1 = x;
        y2 = y1;
        y1 = y;
        z2 = z1;
        z1 = z;
        return z;
    }
}
