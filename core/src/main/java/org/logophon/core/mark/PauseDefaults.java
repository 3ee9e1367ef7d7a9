package org.logophon.core.mark;

import org.logophon.core.input.InvalidInput;

/**
 * How long a role rests of itself, where no mark says otherwise. A null leaves it to the voice.
 *
 * @param commaMillis at commas and their like
 * @param stopMillis  at ends of sentences inside a cue
 * @param leastMillis between sentences at least: sentences that stand too close are moved apart
 */
public record PauseDefaults(Integer commaMillis, Integer stopMillis, Integer leastMillis) {

    public static final PauseDefaults NONE = new PauseDefaults(null, null, null);

    public PauseDefaults {
        check("The rest at a comma", commaMillis);
        check("The rest at a full stop", stopMillis);
        check("The least gap between sentences", leastMillis);
    }

    private static void check(String what, Integer millis) {
        if (millis != null && (millis < 0 || millis > 10_000)) {
            throw new InvalidInput("%s goes from 0 to 10 s, and %s s is outside.".formatted(what, millis / 1000.0));
        }
    }

    String canonical() {
        return commaMillis + " " + stopMillis + " " + leastMillis;
    }
}
