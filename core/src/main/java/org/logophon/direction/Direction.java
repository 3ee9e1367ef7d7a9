package org.logophon.direction;

/**
 * What a project, a role or a cue says about how it is spoken. A null says nothing at this level.
 *
 * @param pacePercent     50–200, 100 unchanged (SSML 1.1, prosody rate)
 * @param pitchSemitones  −12…+12
 * @param loudnessDb      −24…+12, against the target loudness
 * @param pauseAfterMillis 0–10,000: silence after the cue, before the next one in the programme
 */
public record Direction(Integer pacePercent, Double pitchSemitones, Double loudnessDb, Integer pauseAfterMillis) {

    public static final Direction NONE = new Direction(null, null, null, null);

    public Direction {
        check("Pace", pacePercent, 50, 200, "%");
        check("Pitch", pitchSemitones, -12, 12, "semitones");
        check("Loudness", loudnessDb, -24, 12, "dB");
        check("The pause after a cue", pauseAfterMillis, 0, 10_000, "ms");
    }

    private static void check(String what, Number value, int least, int most, String unit) {
        if (value != null && !(value.doubleValue() >= least && value.doubleValue() <= most)) {
            throw new IllegalArgumentException("%s goes from %d to %d %s, and %s is outside."
                    .formatted(what, least, most, unit, value));
        }
    }
}
