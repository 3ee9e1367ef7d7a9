package org.logophon.core.direction;

import org.logophon.core.direction.style.Style;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.signal.effect.Effect;

/**
 * What a project, a role or a cue says about how it is spoken. A null says nothing at this level.
 *
 * @param pacePercent     50–200, 100 unchanged (SSML 1.1, prosody rate)
 * @param pitchSemitones  −12…+12
 * @param rangePercent    0–200, 0 monotone, 100 unchanged (SSML 1.1, prosody range)
 * @param loudnessDb      −24…+12, against the target loudness
 * @param pauseAfterMillis 0–10,000: silence after the cue, before the next one in the programme
 * @param effect          what the voice comes through
 * @param effectPercent   0–100: how much of the effect is heard
 * @param style           name of a way of speaking, ours or the voice's own; empty for none where an outer level has
 *     one
 * @param stylePercent    0–200: its strength
 * @param phrasingPercent 0–150: how much of the phrasing by signs and words is heard
 */
public record Direction(
        Integer pacePercent,
        Double pitchSemitones,
        Integer rangePercent,
        Double loudnessDb,
        Integer pauseAfterMillis,
        Effect effect,
        Integer effectPercent,
        String style,
        Integer stylePercent,
        Integer phrasingPercent) {

    private static final int LONGEST_STYLE = 40;
    public static final Direction NONE = new Direction(null, null, null, null);

    public Direction {
        Dial.PACE.check(pacePercent);
        Dial.PITCH.check(pitchSemitones);
        Dial.RANGE.check(rangePercent);
        Dial.LOUDNESS.check(loudnessDb);
        Dial.PAUSE.check("The pause after a cue", pauseAfterMillis);
        Dial.EFFECT.check(effectPercent);
        Dial.STYLE.check(stylePercent);
        Dial.PHRASING.check(phrasingPercent);
        if (style != null && (style.length() > LONGEST_STYLE || style.chars().anyMatch(Character::isISOControl))) {
            throw new InvalidInput(
                    "A style is a word. Choose one of " + Style.words() + ", or one of the voice's own.");
        }
    }

    /** Without a word on phrasing. */
    public Direction(
            Integer pacePercent,
            Double pitchSemitones,
            Integer rangePercent,
            Double loudnessDb,
            Integer pauseAfterMillis,
            Effect effect,
            Integer effectPercent,
            String style,
            Integer stylePercent) {
        this(
                pacePercent,
                pitchSemitones,
                rangePercent,
                loudnessDb,
                pauseAfterMillis,
                effect,
                effectPercent,
                style,
                stylePercent,
                null);
    }

    /** Without a style. */
    public Direction(
            Integer pacePercent,
            Double pitchSemitones,
            Integer rangePercent,
            Double loudnessDb,
            Integer pauseAfterMillis,
            Effect effect,
            Integer effectPercent) {
        this(
                pacePercent,
                pitchSemitones,
                rangePercent,
                loudnessDb,
                pauseAfterMillis,
                effect,
                effectPercent,
                null,
                null);
    }

    /** The same with another phrasing. @param percent null to say nothing of it */
    public Direction phrased(Integer percent) {
        return new Direction(
                pacePercent,
                pitchSemitones,
                rangePercent,
                loudnessDb,
                pauseAfterMillis,
                effect,
                effectPercent,
                style,
                stylePercent,
                percent);
    }

    /** With the range left as it is, and no effect. */
    public Direction(Integer pacePercent, Double pitchSemitones, Double loudnessDb, Integer pauseAfterMillis) {
        this(pacePercent, pitchSemitones, null, loudnessDb, pauseAfterMillis, null, null);
    }
}
