package org.logophon.app.page;

import java.math.BigDecimal;
import org.logophon.app.web.Refused;

/** Reads a number as people type it: with a minus sign of any kind, with a comma or a point. */
public final class TypedNumber {

    /** Digits before the point: more are a slip of the hand, and could be a million of them. */
    private static final int MOST_DIGITS = 6;

    private TypedNumber() {}

    /** @return null for an empty field @throws Refused with a sentence when it is no number, or far out of any range */
    public static Double read(String what, String typed) {
        if (typed == null || typed.isBlank()) {
            return null;
        }
        try {
            BigDecimal value = new BigDecimal(typed.strip().replace('−', '-').replace(',', '.'));
            if (value.precision() - value.scale() > MOST_DIGITS) {
                throw new Refused(what + " is far out of range: " + typed + ".");
            }
            return value.doubleValue();
        } catch (NumberFormatException e) {
            throw new Refused(what + " is a number, and \"" + typed + "\" is none.");
        }
    }
}
