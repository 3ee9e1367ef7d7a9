package org.logophon.app.page;

import java.math.BigDecimal;
import org.logophon.app.web.Refused;
import org.logophon.direction.Direction;
import org.logophon.effect.Effect;

/**
 * Direction as typed; an empty field says nothing at its level.
 *
 * @param pause in seconds
 * @param mix   of the effect, in per cent
 */
public record DirectionForm(String pace, String pitch, String range, String loudness, String pause, String effect, String mix) {

    /** @throws Refused or IllegalArgumentException with a sentence when a value can't be one */
    public Direction direction() {
        BigDecimal percent = number("Pace", pace);
        BigDecimal semitones = number("Pitch", pitch);
        BigDecimal decibels = number("Loudness", loudness);
        BigDecimal seconds = number("The pause after a cue", pause);
        return new Direction(whole(percent), semitones == null ? null : semitones.doubleValue(), whole(number("Range", range)),
                decibels == null ? null : decibels.doubleValue(), seconds == null ? null : (int) Math.round(seconds.doubleValue() * 100) * 10,
                Effect.named(effect), whole(number("The mix of an effect", mix)));
    }

    private static Integer whole(BigDecimal value) {
        return value == null ? null : (int) Math.round(value.doubleValue());
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
