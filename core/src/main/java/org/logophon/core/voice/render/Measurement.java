package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.voice.Voice;

/**
 * The measurements of a render against the same words at the voice's own pace and pitch.
 *
 * @param pacePercent 100 when nothing was asked
 * @param semitones   interval of the median F0; null when there is no pitch to measure (a whisper)
 * @param marks       for each mark of the score what was reached, in the mark's own unit; null where there is nothing
 *     to measure
 */
public record Measurement(double pacePercent, Double semitones, List<Double> marks) {

    public Measurement(double pacePercent, Double semitones) {
        this(pacePercent, semitones, List.of());
    }

    public static final Measurement NEUTRAL = new Measurement(100, 0.0);

    /** Pace may miss by this share, pitch by so many semitones, before it counts as a miss. */
    private static final double PACE_PROMISE = 0.03;

    private static final double PITCH_PROMISE = 0.5;

    /** True when the pace is as it was asked for. */
    public boolean keepsPace(double paceFactor) {
        return Math.abs(pacePercent / 100 / paceFactor - 1) <= PACE_PROMISE;
    }

    /** True when the pitch is as it was asked for, or there is none. */
    public boolean keepsPitch(double askedSemitones) {
        return semitones == null || Math.abs(semitones - askedSemitones) <= PITCH_PROMISE;
    }

    /** What was asked for and not reached, as sentences; empty when the promise holds. */
    public List<String> misses(double paceFactor, double askedSemitones, Voice voice) {
        List<String> misses = new ArrayList<>();
        if (!keepsPace(paceFactor)) {
            misses.add("Pace %.0f %% was asked for, and %s reaches %.0f %%."
                    .formatted(paceFactor * 100, voice.name(), pacePercent));
        }
        if (voice.whispers() && askedSemitones != 0) {
            misses.add("A whisper has no pitch, so the change of %+.1f semitones does nothing to %s."
                    .formatted(askedSemitones, voice.name()));
        } else if (!keepsPitch(askedSemitones)) {
            misses.add("Pitch %+.1f semitones was asked for, and %s reaches %+.1f."
                    .formatted(askedSemitones, voice.name(), semitones));
        }
        return misses;
    }
}
