package org.logophon.app.services.project.review;

import java.time.Instant;
import java.util.UUID;
import org.logophon.core.review.NotePlace;

/**
 * A remark on a word.
 *
 * @param place    as it was written
 * @param writer   name of who wrote it; empty while nobody has one
 * @param take     that was heard; null when it is gone
 * @param takeName of it; null with it
 * @param doneAt   null while it is open
 * @param doneTake name of the take that was kept when it was done; null when there was none
 */
public record Note(
        UUID id,
        UUID cue,
        NotePlace place,
        String remark,
        String writer,
        UUID take,
        String takeName,
        int version,
        Instant at,
        Instant doneAt,
        String doneTake) {

    /** As much as one writes in a margin. */
    public static final int LONGEST = 2_000;

    public boolean open() {
        return doneAt == null;
    }
}
