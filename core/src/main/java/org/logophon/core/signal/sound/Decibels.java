package org.logophon.core.signal.sound;

/** Between decibels and factors of amplitude. */
public final class Decibels {

    private Decibels() {}

    public static double toFactor(double decibels) {
        return Math.pow(10, decibels / 20);
    }

    /** −∞ for silence. */
    public static double ofFactor(double factor) {
        return 20 * Math.log10(factor);
    }
}
