package org.logophon.app.steps.cast;

import org.logophon.app.platform.failure.Refused;
import org.logophon.core.input.TypedNumber;
import org.logophon.core.signal.effect.Effect;
import org.logophon.core.voice.Tuning;

/** Tuning of a house voice as typed; an empty field leaves the base voice as it is. */
record TuningForm(
        String tunePace, String tunePitch, String tuneRange, String tuneTimbre, String tuneEffect, String tuneMix) {

    /** @throws Refused or IllegalArgumentException with a sentence when a value can't be one */
    Tuning tuning() {
        Effect effect = Effect.named(tuneEffect);
        return new Tuning(
                (int) Math.round(number("Pace", tunePace, 100)),
                number("Pitch", tunePitch, 0),
                (int) Math.round(number("Range", tuneRange, 100)),
                number("Timbre", tuneTimbre, 0),
                effect,
                effect == null ? 0 : (int) Math.round(number("The amount of an effect", tuneMix, 70)));
    }

    private static double number(String what, String typed, double none) {
        Double value = TypedNumber.read(what, typed);
        return value == null ? none : value;
    }
}
