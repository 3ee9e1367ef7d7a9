package org.logophon.app.services.project.review;

import java.util.UUID;

/**
 * The author of a note or an approval.
 *
 * @param name  as they gave it; empty while nobody has one
 * @param share link by which they came; null for who works here
 */
public record Author(String name, UUID share) {

    /** What they said, with their name before it where it is somebody else's. */
    public String told(String what) {
        return name.isEmpty() ? what : name + ": " + what;
    }
}
