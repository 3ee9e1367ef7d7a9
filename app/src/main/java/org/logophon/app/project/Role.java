package org.logophon.app.project;

import org.logophon.direction.Direction;

/**
 * Who speaks.
 *
 * @param position order of first appearance; gives the role its colour
 * @param voiceId  null when nobody is cast
 */
public record Role(String name, int position, String voiceId, Direction direction, int version) {

    /** Colours of the style sheet's role palette. */
    private static final int COLOURS = 7;

    /** Style class that gives the role's colour. */
    public String colour() {
        return "role-" + position % COLOURS;
    }
}
