package org.logophon.app.steps.listen;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.services.page.Ago;
import org.logophon.app.services.project.review.Note;
import org.logophon.core.review.NotePlace;

/**
 * A note as pages show it.
 *
 * @param number   of its cue
 * @param word     that it was written on
 * @param start    where that word stands in the cue's text now; −1 when it is gone
 * @param index    which word it is, counted from 0; −1 when it is gone
 * @param writer   who wrote it by a link; empty for who works here
 * @param take     name of the take that was heard; null when it is gone
 * @param doneTake name of the take in which it is done; null while it is open
 */
record NoteLine(
        UUID id,
        UUID cue,
        String number,
        String word,
        int start,
        int end,
        int index,
        String remark,
        String writer,
        String take,
        int version,
        boolean open,
        String doneTake,
        String when) {

    /** @param text of the cue now; null when it has left the script */
    static NoteLine of(Note note, String number, String text, Instant now) {
        Optional<NotePlace> there =
                text == null ? Optional.empty() : note.place().in(text);
        return new NoteLine(
                note.id(),
                note.cue(),
                number,
                note.place().word(),
                there.map(NotePlace::start).orElse(-1),
                there.map(NotePlace::end).orElse(-1),
                there.map(NotePlace::index).orElse(-1),
                note.remark(),
                note.writer(),
                note.takeName(),
                note.version(),
                note.open(),
                note.doneTake(),
                Ago.of(note.at(), now));
    }
}
