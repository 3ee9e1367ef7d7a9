package org.logophon.core.signal.sound;

/** The largest magnitude among samples. */
public final class Loudest {

    private Loudest() {}

    public static float of(float[] samples) {
        return of(samples, 0, samples.length);
    }

    /**
     * Without their signs, floating-point numbers are in the order of their bits (IEEE 754): no branch is mispredicted.
     */
    public static float of(float[] samples, int from, int to) {
        int most = 0;
        for (int i = from; i < to; i++) {
            most = Math.max(most, Float.floatToRawIntBits(samples[i]) & Integer.MAX_VALUE);
        }
        return Float.intBitsToFloat(most);
    }
}
