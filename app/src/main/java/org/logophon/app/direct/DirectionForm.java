package org.logophon.app.direct;

import java.math.BigDecimal;
import org.logophon.app.web.Refused;
import org.logophon.direction.Direction;

/**
 * Direction as typed; an empty field says nothing at its level.
 *
 * @param pause in seconds
 */
record DirectionForm(String pace, String pitch, String loudness, String pause) {

    /** @throws Refused or IllegalArgumentException with a sentence when a value can't be one */
    Direction direction() {
        BigDecimal percent = number("Pace", pace);
        BigDecimal semitones = number("Pitch", pitch);
        BigDecimal decibels = number("Loudness", loudness);
        BigDecimal seconds = number("The pause after a cue", pause);
        return new Direction(percent == null ? null : (int) Math.round(percent.doubleValue()),
                semitones == null ? null : semitones.doubleValue(), decibels == null ? null : decibels.doubleValue(),
                seconds == null ? null : (int) Math.round(seconds.doubleValue() * 100) * 10);
    }

    private static BigDecimal number(String what, String typed) {
        if (typed == null || typed.isBlank()) {
            return null;
        }
        try {
            BigDecimal value = new BigDecimal(typed.strip().replace('−', '-').replace(',', '.'));
            if (value.precision() - value.scale() > 6) {
                throw new Refused(what + " is far out of range: " + typed + ".");
            }
            return value;
        } catch (NumberFormatException e) {
            throw new Refused(what + " is a number, and \"" + typed + "\" is none.");
        }
    }
}
