package org.logophon.core.signal.sound;

import java.util.function.IntToDoubleFunction;

/** Test signals. */
public final class Tones {

    private Tones() {}

    public static Sound sine(double hertz, double dbfs, double seconds, int rate) {
        double factor = Decibels.toFactor(dbfs);
        return of(i -> factor * Math.sin(2 * Math.PI * hertz * i / rate), seconds, rate);
    }

    public static Sound of(IntToDoubleFunction sample, double seconds, int rate) {
        float[] samples = new float[(int) Math.round(seconds * rate)];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) sample.applyAsDouble(i);
        }
        return new Sound(samples, rate);
    }

    /** One after another. */
    public static Sound joined(Sound... parts) {
        int length = 0;
        for (Sound part : parts) {
            length += part.samples().length;
        }
        float[] samples = new float[length];
        int at = 0;
        for (Sound part : parts) {
            System.arraycopy(part.samples(), 0, samples, at, part.samples().length);
            at += part.samples().length;
        }
        return new Sound(samples, parts[0].rate());
    }
}
