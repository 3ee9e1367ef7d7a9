package org.logophon.core.signal.effect;

/**
 * A second-order filter in transposed direct form II; coefficients by R. Bristow-Johnson, "Cookbook formulae for audio
 * EQ
 * biquad filter coefficients" (W3C note of 2021).
 */
final class Biquad {

    private final double b0;
    private final double b1;
    private final double b2;
    private final double a1;
    private final double a2;

    private Biquad(double b0, double b1, double b2, double a0, double a1, double a2) {
        this.b0 = b0 / a0;
        this.b1 = b1 / a0;
        this.b2 = b2 / a0;
        this.a1 = a1 / a0;
        this.a2 = a2 / a0;
    }

    static Biquad lowPass(double hertz, double q, int rate) {
        double w = angle(hertz, rate);
        double alpha = Math.sin(w) / (2 * q);
        double c = Math.cos(w);
        return new Biquad((1 - c) / 2, 1 - c, (1 - c) / 2, 1 + alpha, -2 * c, 1 - alpha);
    }

    static Biquad highPass(double hertz, double q, int rate) {
        double w = angle(hertz, rate);
        double alpha = Math.sin(w) / (2 * q);
        double c = Math.cos(w);
        return new Biquad((1 + c) / 2, -(1 + c), (1 + c) / 2, 1 + alpha, -2 * c, 1 - alpha);
    }

    static Biquad peak(double hertz, double q, double gainDb, int rate) {
        double w = angle(hertz, rate);
        double alpha = Math.sin(w) / (2 * q);
        double a = Math.pow(10, gainDb / 40);
        double c = Math.cos(w);
        return new Biquad(1 + alpha * a, -2 * c, 1 - alpha * a, 1 + alpha / a, -2 * c, 1 - alpha / a);
    }

    /** A corner above the half of the sample rate stays just under it. */
    private static double angle(double hertz, int rate) {
        return 2 * Math.PI * Math.min(hertz, 0.49 * rate) / rate;
    }

    float[] filter(float[] in) {
        float[] out = new float[in.length];
        double s1 = 0;
        double s2 = 0;
        for (int i = 0; i < in.length; i++) {
            double x = in[i];
            double y = b0 * x + s1;
            s1 = b1 * x - a1 * y + s2;
            s2 = b2 * x - a2 * y;
            out[i] = (float) y;
        }
        return out;
    }
}
