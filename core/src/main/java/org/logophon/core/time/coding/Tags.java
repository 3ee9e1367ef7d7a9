package org.logophon.core.time.coding;

import java.util.List;

/**
 * The tags of a sound file.
 *
 * @param title   of it
 * @param album   of the programme that it belongs to
 * @param track   its number; empty for none
 * @param note    a document that it carries; empty for none
 * @param date    ISO 8601 day
 */
public record Tags(String title, String album, String track, String note, String date, List<Chapter> chapters) {

    public Tags {
        chapters = List.copyOf(chapters);
    }

    /** A stretch with a name. */
    public record Chapter(String title, double fromSeconds, double toSeconds) {}
}
