package org.logophon.core.voice;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.direction.Dial;
import org.logophon.core.signal.effect.Effect;

/**
 * The adjustment that makes a house voice of a base voice.
 *
 * @param pacePercent     50–200, against the base voice
 * @param semitones       −12…+12
 * @param rangePercent    0–200
 * @param timbreSemitones −3 deeper … +3 lighter: formants moved without moving the pitch
 * @param effect          null for none
 * @param effectPercent   0–100
 */
public record Tuning(
        int pacePercent, double semitones, int rangePercent, double timbreSemitones, Effect effect, int effectPercent) {

    public static final Tuning NONE = new Tuning(100, 0, 100, 0, null, 0);

    /** Beyond these a voice sounds made. Ours. */
    private static final double NATURAL_SEMITONES = 4;

    private static final int NATURAL_PACE_PERCENT = 30;

    public Tuning {
        Dial.PACE.check(pacePercent);
        Dial.PITCH.check(semitones);
        Dial.RANGE.check(rangePercent);
        Dial.TIMBRE.check(timbreSemitones);
        Dial.EFFECT.check(effectPercent);
    }

    /** This one and another on top of it, as far as the dials go. */
    public Tuning and(Tuning other) {
        return new Tuning(
                (int) Math.round(Dial.PACE.within(pacePercent * other.pacePercent / 100.0)),
                Dial.PITCH.within(semitones + other.semitones),
                (int) Math.round(Dial.RANGE.within(rangePercent * other.rangePercent / 100.0)),
                Dial.TIMBRE.within(timbreSemitones + other.timbreSemitones),
                other.effect == null ? effect : other.effect,
                other.effect == null ? effectPercent : other.effectPercent);
    }

    /** How far it strays from what the base voice does by nature, as sentences; empty when it sounds like a person. */
    public List<String> unnatural() {
        List<String> flags = new ArrayList<>();
        if (Math.abs(semitones) > NATURAL_SEMITONES) {
            flags.add("More than 4 semitones from its own pitch a voice sounds made.");
        }
        if (Math.abs(pacePercent - 100) > NATURAL_PACE_PERCENT) {
            flags.add("More than 30 % from its own pace a voice sounds made.");
        }
        return flags;
    }
}
