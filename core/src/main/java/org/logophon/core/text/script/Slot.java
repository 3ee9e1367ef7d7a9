package org.logophon.core.text.script;

import org.logophon.core.input.InvalidInput;

/**
 * The time that the picture leaves for a cue.
 *
 * @param inMillis  from the start of the picture
 * @param outMillis after {@code inMillis}
 */
public record Slot(int inMillis, int outMillis) {

    public Slot {
        if (inMillis < 0 || outMillis <= inMillis) {
            throw new InvalidInput("A slot ends after it starts, and neither before the picture.");
        }
    }
}
