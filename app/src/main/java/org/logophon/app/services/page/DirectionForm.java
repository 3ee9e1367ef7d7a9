package org.logophon.app.services.page;

import org.logophon.app.platform.failure.Refused;
import org.logophon.core.direction.Direction;
import org.logophon.core.input.TypedNumber;
import org.logophon.core.signal.effect.Effect;

/**
 * Direction as typed; an empty field says nothing at its level.
 *
 * @param pause in seconds
 * @param mix   of the effect, in per cent
 * @param style {@value #PLAIN} for none where an outer level has one
 * @param strength of the style, in per cent
 */
public record DirectionForm(
        String pace,
        String pitch,
        String range,
        String loudness,
        String pause,
        String effect,
        String mix,
        String style,
        String strength,
        String phrasing) {

    static final String PLAIN = "plain";

    /** @throws Refused or InvalidInput with a sentence when a value can't be one */
    public Direction direction() {
        Double seconds = TypedNumber.read("The pause after a cue", pause);
        return new Direction(
                whole(TypedNumber.read("Pace", pace)),
                TypedNumber.read("Pitch", pitch),
                whole(TypedNumber.read("Range", range)),
                TypedNumber.read("Loudness", loudness),
                seconds == null ? null : (int) Math.round(seconds * 100) * 10,
                Effect.named(effect),
                whole(TypedNumber.read("The amount of an effect", mix)),
                style == null || style.isBlank() ? null : style.equals(PLAIN) ? "" : style.strip(),
                whole(TypedNumber.read("The strength of a style", strength)),
                whole(TypedNumber.read("Phrasing", phrasing)));
    }

    private static Integer whole(Double value) {
        return value == null ? null : (int) Math.round(value);
    }
}
