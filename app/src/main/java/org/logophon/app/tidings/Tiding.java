package org.logophon.app.tidings;

import java.time.Instant;
import java.util.Locale;
import java.util.UUID;

/**
 * Something to tell.
 *
 * @param id      that grows
 * @param project that it is about, by its name too
 * @param address path of the page that shows it
 */
record Tiding(
        long id,
        UUID workspace,
        UUID project,
        String projectName,
        Kind kind,
        String sentence,
        String address,
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
