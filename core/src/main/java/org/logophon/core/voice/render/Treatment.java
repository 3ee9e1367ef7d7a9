package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.signal.effect.Effect;

/**
 * The processing of speech after its engine: in this order, liveliness and timbre, then the effect.
 *
 * @param rangeFactor     0 monotone, 1 as it is
 * @param timbreSemitones formants moved, the pitch kept: under 0 deeper
 * @param effect          null for none
 * @param effectPercent   how much of it is heard
 * @param whispered       the voice itself left out
 */
public record Treatment(
        double rangeFactor, double timbreSemitones, Effect effect, int effectPercent, boolean whispered) {

    /** With its voice. */
    public Treatment(double rangeFactor, double timbreSemitones, Effect effect, int effectPercent) {
        this(rangeFactor, timbreSemitones, effect, effectPercent, false);
    }

    public static final Treatment NONE = new Treatment(1, 0, null, 0);

    /** As a person reads it; empty when nothing is done. */
    public String words() {
        List<String> words = new ArrayList<>();
        if (Math.round(rangeFactor * 100) != 100) {
            words.add("range %d %%".formatted(Math.round(rangeFactor * 100)));
        }
        if (timbreSemitones != 0) {
            words.add("timbre %.1f st %s"
                    .formatted(Math.abs(timbreSemitones), timbreSemitones < 0 ? "deeper" : "lighter"));
        }
        if (effect != null) {
            words.add("%s at %d %%".formatted(effect.id(), effectPercent));
        }
        if (whispered) {
            words.add("whispered");
        }
        return String.join(", ", words);
    }

    /** For a recipe; empty when nothing is done. */
    public String canonical() {
        return equals(NONE)
                ? ""
                : "range %d timbre %d effect %s %d%s"
                        .formatted(
                                Math.round(rangeFactor * 1_000),
                                Math.round(timbreSemitones * 1_000),
                                effect == null ? "none" : effect.name(),
                                effectPercent,
                                whispered ? " whispered" : "");
    }
}
