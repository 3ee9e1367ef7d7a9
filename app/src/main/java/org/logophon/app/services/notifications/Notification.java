package org.logophon.app.services.notifications;

import java.time.Instant;
import java.util.Locale;
import java.util.UUID;

/**
 * Something to tell.
 *
 * @param id      that grows
 * @param project that it is about, by its name too
 * @param address path of the page that shows it
 * @param brief   true for what took no longer than anybody waits for: addresses are called, and nobody is told
 */
record Notification(
        long id,
        UUID workspace,
        UUID project,
        String projectName,
        Kind kind,
        String sentence,
        String address,
        boolean brief,
        Instant at) {

    /** What it is about. */
    enum Kind {
        RENDERS,
        DELIVERIES,
        VISITORS;

        String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
