package org.logophon.core.signal.prosody;

/**
 * What is to become of a stretch of speech.
 *
 * @param paceFactor      over 1 is faster
 * @param semitones       interval that the pitch moves by, its shape kept
 * @param rangeFactor     how far the pitch strays from its median: 0 is monotone, 1 as it is, 2 twice as lively
 * @param timbreSemitones interval that the formants move by, the pitch kept: under 0 a longer vocal tract, a deeper
 *     voice
 */
public record Shape(double paceFactor, double semitones, double rangeFactor, double timbreSemitones) {

    public static final Shape AS_IT_IS = new Shape(1, 0, 1, 0);

    public Shape {
        if (!(paceFactor >= 0.25 && paceFactor <= 4)
                || !(Math.abs(semitones) <= 24)
                || !(rangeFactor >= 0 && rangeFactor <= 3)
                || !(Math.abs(timbreSemitones) <= 12)) {
            throw new IllegalArgumentException(
                    "Speech can't be reshaped so far: pace ×%s, pitch %s, range ×%s, timbre %s."
                            .formatted(paceFactor, semitones, rangeFactor, timbreSemitones));
        }
    }

    boolean changesNothing() {
        return Math.abs(paceFactor - 1) < 1e-4
                && Math.abs(semitones) < 1e-3
                && Math.abs(rangeFactor - 1) < 1e-3
                && Math.abs(timbreSemitones) < 1e-3;
    }
}
