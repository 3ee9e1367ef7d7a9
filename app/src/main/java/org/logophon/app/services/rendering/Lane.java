package org.logophon.app.services.rendering;

import java.util.UUID;

/**
 * A place at which a workspace's cues are rendered one after another, on whichever server is free. A workspace renders
 * as many at once as it has lanes; a lane with a low number comes before others' lanes with a high one, so everybody's
 * first comes before anybody's second.
 *
 * @param urgent for cues that somebody waits for, beside those for everything
 * @param number from 1
 */
record Lane(UUID workspace, boolean urgent, int number) {

    private static final String URGENT = "urgent";
    private static final String ANY = "any";
    /** Before deliveries and all else, which have the scheduler's middle of 50. */
    private static final int FIRST = 80;

    private static final int LATER = 40;

    /** As jobs are named. */
    String id() {
        return workspace + "/" + (urgent ? URGENT : ANY) + "/" + number;
    }

    static Lane parse(String id) {
        String[] parts = id.split("/");
        return new Lane(UUID.fromString(parts[0]), parts[1].equals(URGENT), Integer.parseInt(parts[2]));
    }

    /** The greater, the sooner. */
    int priority() {
        return urgent ? FIRST : LATER - Math.min(number, LATER);
    }
}
