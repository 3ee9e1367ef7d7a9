package org.logophon.app.services.project.take;

import java.time.Instant;
import java.util.Locale;
import java.util.UUID;

/** Something that happened to a take. */
public record TakeEvent(UUID take, What what, Instant at) {

    /** What happens to takes. */
    public enum What {
        MADE,
        KEPT,
        DELETED,
        RESTORED,
        EMPTIED;

        String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
