package org.logophon.app.platform.people;

import java.util.UUID;

/** People, their projects and their house lists. */
public record Workspace(UUID id, String name) {

    /** The one that is always there; everything is in it while people are switched off. */
    public static final UUID FIRST = new UUID(0, 1);
}
