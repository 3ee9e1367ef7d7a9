package org.logophon.speech.own;

import java.math.BigDecimal;
import java.math.MathContext;

/**
 * A number that a program takes for its pace or its pitch.
 *
 * @param normal   for the voice as it is
 * @param way      how it goes with what is asked
 * @param semitone what is added for a semitone, for {@link Way#ADDED}
 * @param whole    true when it takes whole numbers only
 */
record OwnDial(double normal, Way way, double semitone, double least, double most, boolean whole) {

    /** How the number follows what is asked. */
    enum Way {
        /** Twice the pace, or the pitch, is twice the number. */
        MULTIPLIED,
        /** Twice the pace, or the pitch, is half the number. */
        DIVIDED,
        /** A semitone more is so much more. */
        ADDED
    }

    /** @param factor of the voice's own pace or pitch */
    String value(double factor) {
        double value = switch (way) {
            case MULTIPLIED -> normal * factor;
            case DIVIDED -> normal / factor;
            case ADDED -> normal + semitone * 12 * Math.log(factor) / Math.log(2);
        };
        double within = Math.max(least, Math.min(most, value));
        return whole
                ? Long.toString(Math.round(within))
                : new BigDecimal(within, new MathContext(6))
                        .stripTrailingZeros()
                        .toPlainString();
    }
}
