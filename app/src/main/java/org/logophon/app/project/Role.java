package org.logophon.app.project;

import org.logophon.core.direction.Direction;
import org.logophon.core.mark.PauseDefaults;

/**
 * Who speaks.
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

    /** Colours of the style sheet's role palette. */
    private static final int COLOURS = 7;

    Role with(String otherVoice) {
        return new Role(name, position, otherVoice, direction, pauseDefaults, livelyPercent, version);
    }

    /** Style class that gives the role's colour. */
    public String colour() {
        return "role-" + position % COLOURS;
    }
}
