package org.logophon.app.services.live;

import java.util.Locale;
import java.util.Optional;
import java.util.UUID;

/**
 * A change, as the database tells it.
 *
 * @param project null for what concerns every project
 */
record Change(Kind kind, UUID project) {

    /** What has changed. */
    enum Kind {
        /** Words, direction, marks, readings, cast, names. */
        CONTENT,
        /** Takes and renders. */
        STATUS,
        DELIVERY,
        FINDINGS,
        /** Readings, voices and watch words of the house. */
        HOUSE,
        /** What was taken away that nobody needs. */
        SPACE,
        /** Who may see what, or has left. */
        PEOPLE,
        /** That there is something to tell. */
        TIDINGS,
        /** Which windows have the project open. */
        HERE;

        String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** Reads {@code content 3f0c…}; empty for what another version of the application may say. */
    static Optional<Change> parse(String payload) {
        String[] parts = payload.split(" ");
        try {
            Kind kind = Kind.valueOf(parts[0].toUpperCase(Locale.ROOT));
            return Optional.of(new Change(kind, parts.length > 1 ? UUID.fromString(parts[1]) : null));
        } catch (IllegalArgumentException unknown) {
            return Optional.empty();
        }
    }
}
