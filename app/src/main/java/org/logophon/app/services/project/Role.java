package org.logophon.app.services.project;

import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.PauseDefaults;

/**
 * A role of the script.
 *
 * @param position order of first appearance; gives the role its colour
 * @param voiceId  null when nobody is cast
 * @param pauseDefaults   how it rests of itself
 * @param livelyPercent how much its takes differ by chance
 */
public record Role(
        String name,
        int position,
        String voiceId,
        Direction direction,
        PauseDefaults pauseDefaults,
        int livelyPercent,
        int version) {

    /** Okabe and Ito's palette has seven that stand out from paper. */
    private static final int COLOURS = 7;

    Role with(String otherVoice) {
        return new Role(name, position, otherVoice, direction, pauseDefaults, livelyPercent, version);
    }

    /** Place in the palette of roles, from 0. */
    public int colour() {
        return position % COLOURS;
    }
}
