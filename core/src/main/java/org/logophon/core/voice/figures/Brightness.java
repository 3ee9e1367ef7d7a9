package org.logophon.core.voice.figures;

import org.apache.commons.math3.complex.Complex;
import org.apache.commons.math3.transform.DftNormalization;
import org.apache.commons.math3.transform.FastFourierTransformer;
import org.apache.commons.math3.transform.TransformType;
import org.logophon.core.signal.sound.Sound;

/**
 * The brightness of a sound: the centre of gravity of its power spectrum, from 0 to 8 kHz so that every sample rate
 * tells the same.
 */
final class Brightness {

    private static final int WINDOW = 1024;
    private static final double HIGHEST_HZ = 8_000;

    private Brightness() {}

    static double hertz(Sound sound) {
        float[] x = sound.samples();
        double[] power = new double[WINDOW / 2];
        double[] frame = new double[WINDOW];
        FastFourierTransformer fourier = new FastFourierTransformer(DftNormalization.STANDARD);
        for (int at = 0; at + WINDOW <= x.length; at += WINDOW / 2) {
            for (int i = 0; i < WINDOW; i++) {
                frame[i] = x[at + i] * (0.5 - 0.5 * Math.cos(2 * Math.PI * i / WINDOW));
            }
            Complex[] spectrum = fourier.transform(frame, TransformType.FORWARD);
            for (int i = 0; i < power.length; i++) {
                power[i] += spectrum[i].getReal() * spectrum[i].getReal()
                        + spectrum[i].getImaginary() * spectrum[i].getImaginary();
            }
        }
        double sum = 0;
        double weighted = 0;
        for (int i = 0; i < power.length; i++) {
            double hertz = i * (double) sound.rate() / WINDOW;
            if (hertz <= HIGHEST_HZ) {
                sum += power[i];
                weighted += hertz * power[i];
            }
        }
        return sum == 0 ? 0 : weighted / sum;
    }
}
