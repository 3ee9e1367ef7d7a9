package org.logophon.core.direction.mark;

import org.logophon.core.direction.Dial;

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
        Dial.PAUSE.check("The pause at a comma", commaMillis);
        Dial.PAUSE.check("The pause at a full stop", stopMillis);
        Dial.PAUSE.check("The shortest pause between sentences", leastMillis);
    }

    public String canonical() {
        return commaMillis + " " + stopMillis + " " + leastMillis;
    }
}
