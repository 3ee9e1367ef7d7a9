package org.logophon.app.platform.node;

import java.util.UUID;

/**
 * The event of a change, on this server or another, as the database tells it. What is kept in memory listens, to know
 * when it is stale.
 *
 * @param kind    as the database names it: {@code house}, {@code status}…
 * @param project null for what concerns every project
 */
public record DatabaseChange(String kind, UUID project) {

    public static final String HOUSE = "house";
    public static final String STATUS = "status";

    /** Sent when nothing was heard for a while: any of it may have changed. */
    public static final DatabaseChange ANYTHING = new DatabaseChange("", null);

    public boolean may(String what) {
        return kind.isEmpty() || kind.equals(what);
    }
}
