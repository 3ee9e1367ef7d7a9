package org.logophon.app.project.review;

import java.util.UUID;

/**
 * Who wrote or approved something.
 *
 * @param name  as they gave it; empty for who works here
 * @param share link by which they came; null for who works here
 */
public record By(String name, UUID share) {

    /** Who works here. */
    public static final By HOUSE = new By("", null);

    /** What they said, with their name before it where it is somebody else's. */
    public String told(String what) {
        return name.isEmpty() ? what : name + ": " + what;
    }
}
