package org.logophon.app.steps.share;

import java.time.Instant;
import java.util.UUID;

/**
 * A link for others.
 *
 * @param delivery    that is heard; null for the programme as it is now
 * @param follows     true when a newer delivery takes its place
 * @param name        for whom, as its maker wrote it; may be empty
 * @param phrase      pass phrase as bcrypt makes it; null for none
 * @param until       from then on it has ended; null for never
 * @param takenBackAt null while it isn't
 * @param wrong       pass phrases tried in vain, one after the other
 * @param waitUntil   before that no pass phrase is tried; null for none
 */
record Share(
        UUID id,
        UUID project,
        UUID delivery,
        boolean follows,
        String name,
        String phrase,
        Instant until,
        boolean download,
        Instant createdAt,
        Instant takenBackAt,
        int wrong,
        Instant waitUntil) {

    boolean ended(Instant now) {
        return until != null && !now.isBefore(until);
    }

    boolean open(Instant now) {
        return takenBackAt == null && !ended(now);
    }
}
