package org.logophon.core.direction;

import java.util.Arrays;
import org.logophon.core.direction.style.Style;
import org.logophon.core.signal.effect.Effect;

/**
 * Direction after nesting: rates multiply, semitones and decibels add, the innermost pause, effect, style and phrasing
 * win.
 *
 * @param paceFactor  0.5–2, 1 for 100 %
 * @param semitones   −12…+12
 * @param rangeFactor 0–2, 1 for 100 %
 * @param loudnessDb  −24…+12
 * @param pauseMillis silence after the cue
 * @param effect      null for none
 * @param effectPercent 0–100; 0 without an effect
 * @param style       empty for none; its loudness and pause are in the numbers above, its pace, pitch and range are
 *     not: a voice may have its own way of it
 * @param stylePercent 0–200; 0 without a style
 * @param phrasingPercent 0–150; 0 where nobody says anything: speech is as its engine gives it
 */
public record ResolvedDirection(
        double paceFactor,
        double semitones,
        double rangeFactor,
        double loudnessDb,
        int pauseMillis,
        Effect effect,
        int effectPercent,
        String style,
        int stylePercent,
        int phrasingPercent) {

    /** Silence between cues where nothing else is said: a short breath. Ours. */
    public static final int DEFAULT_PAUSE_MILLIS = 400;

    /** At the end of a scene, where its phrasing is heard in full and nobody asks for another silence. Ours. */
    private static final int SCENE_MILLIS = 1_500;

    public static final ResolvedDirection NEUTRAL = of();

    /** With the range left as it is, and no effect. */
    public ResolvedDirection(double paceFactor, double semitones, double loudnessDb, int pauseMillis) {
        this(paceFactor, semitones, 1, loudnessDb, pauseMillis, null, 0, "", 0, 0);
    }

    /** Silence after the last cue of a scene. */
    public int sceneMillis() {
        return Math.max(pauseMillis, SCENE_MILLIS * phrasingPercent / 100);
    }

    /** What all levels say together, as one: a part is null where none of them says anything. */
    public Direction asOne() {
        return new Direction(
                paceFactor == 1 ? null : (int) Math.round(paceFactor * 100),
                semitones == 0 ? null : semitones,
                rangeFactor == 1 ? null : (int) Math.round(rangeFactor * 100),
                loudnessDb == 0 ? null : loudnessDb,
                null,
                null,
                null,
                style.isEmpty() ? null : style,
                style.isEmpty() ? null : stylePercent,
                phrasingPercent);
    }

    /** Levels from the outermost to the innermost: project, role, cue. Sums beyond a range stop at its edge. */
    public static ResolvedDirection of(Direction... outerToInner) {
        double pace = 1;
        double semitones = 0;
        double range = 1;
        double decibels = 0;
        int pause = DEFAULT_PAUSE_MILLIS;
        Effect effect = null;
        int mix = Dial.EFFECT.neutral();
        String style = "";
        int strength = Dial.STYLE.neutral();
        int phrasing = 0;
        for (Direction level : Arrays.asList(outerToInner)) {
            pace *= level.pacePercent() == null ? 1 : level.pacePercent() / 100.0;
            semitones += level.pitchSemitones() == null ? 0 : level.pitchSemitones();
            range *= level.rangePercent() == null ? 1 : level.rangePercent() / 100.0;
            decibels += level.loudnessDb() == null ? 0 : level.loudnessDb();
            pause = level.pauseAfterMillis() == null ? pause : level.pauseAfterMillis();
            effect = level.effect() == null ? effect : level.effect();
            mix = level.effectPercent() == null ? mix : level.effectPercent();
            style = level.style() == null ? style : level.style();
            strength = level.stylePercent() == null ? strength : level.stylePercent();
            phrasing = level.phrasingPercent() == null ? phrasing : level.phrasingPercent();
        }
        boolean heard = effect != null && mix > 0;
        boolean styled = !style.isEmpty() && strength > 0;
        Style ours = styled ? Style.named(style).orElse(null) : null;
        decibels += ours == null ? 0 : ours.loudnessDb(strength);
        double paused = ours == null ? pause : pause * ours.pauseFactor(strength);
        return new ResolvedDirection(
                within(Dial.PACE, pace * 100) / 100,
                within(Dial.PITCH, semitones),
                within(Dial.RANGE, range * 100) / 100,
                within(Dial.LOUDNESS, decibels),
                (int) Math.round(paused),
                heard ? effect : null,
                heard ? mix : 0,
                styled ? style : "",
                styled ? strength : 0,
                phrasing);
    }

    private static double within(Dial dial, double value) {
        return Math.max(dial.least(), Math.min(dial.most(), value));
    }
}
