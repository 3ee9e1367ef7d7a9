package org.logophon.app.services.script;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.services.project.Cue;
import org.logophon.app.services.project.CueRepository.Placed;
import org.logophon.app.services.project.review.Note;
import org.logophon.app.services.project.review.NoteRepository;
import org.logophon.core.review.NotePlace;
import org.springframework.stereotype.Component;

/**
 * Notes go with their words into another cue when theirs is cut or joined. Inside a cue they need no moving: a note
 * knows the text that it was written on, and finds its word in any other.
 */
@Component
class NoteMover {

    private final NoteRepository notes;

    NoteMover(NoteRepository notes) {
        this.notes = notes;
    }

    /** @param origins for each new cue the old one that it was cut out of, or −1 */
    void move(UUID project, List<Cue> before, List<Placed> after, int[] origins) {
        List<Note> all = notes.of(project);
        if (all.isEmpty()) {
            return;
        }
        Map<UUID, Placed> now = new HashMap<>();
        after.forEach(placed -> now.put(placed.id(), placed));
        for (Note note : all) {
            Placed itself = now.get(note.cue());
            if (itself != null && note.place().in(itself.cue().text()).isPresent()) {
                continue;
            }
            for (int i = 0; i < after.size(); i++) {
                Placed other = after.get(i);
                boolean cutOut = origins[i] >= 0 && before.get(origins[i]).id().equals(note.cue());
                boolean joined = itself == null
                        && other.cue().text().contains(note.place().text());
                Optional<NotePlace> there =
                        cutOut || joined ? note.place().in(other.cue().text()) : Optional.empty();
                if (there.isPresent() && !other.id().equals(note.cue())) {
                    notes.move(note.id(), other.id(), there.get());
                    break;
                }
            }
        }
    }
}
