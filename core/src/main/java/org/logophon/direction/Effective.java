package org.logophon.direction;

import java.util.Arrays;

/**
 * Direction after nesting: rates multiply, semitones and decibels add, the innermost pause wins.
 *
 * @param paceFactor  0.5–2, 1 for 100 %
 * @param semitones   −12…+12
 * @param loudnessDb  −24…+12
 * @param pauseMillis silence after the cue
 */
public record Effective(double paceFactor, double semitones, double loudnessDb, int pauseMillis) {

    /** Silence between cues where nothing else is said: a short breath. Ours. */
    public static final int DEFAULT_PAUSE_MILLIS = 400;

    public static final Effective NEUTRAL = of();

    /** Levels from the outermost to the innermost: project, role, cue. Sums beyond a range stop at its edge. */
    public static Effective of(Direction... outerToInner) {
        double pace = 1;
        double semitones = 0;
        double decibels = 0;
        int pause = DEFAULT_PAUSE_MILLIS;
        for (Direction level : Arrays.asList(outerToInner)) {
            pace *= level.pacePercent() == null ? 1 : level.pacePercent() / 100.0;
            semitones += level.pitchSemitones() == null ? 0 : level.pitchSemitones();
            decibels += level.loudnessDb() == null ? 0 : level.loudnessDb();
            pause = level.pauseAfterMillis() == null ? pause : level.pauseAfterMillis();
        }
        return new Effective(clamp(pace, 0.5, 2), clamp(semitones, -12, 12), clamp(decibels, -24, 12), pause);
    }

    private static double clamp(double value, double least, double most) {
        return Math.max(least, Math.min(most, value));
    }
}
