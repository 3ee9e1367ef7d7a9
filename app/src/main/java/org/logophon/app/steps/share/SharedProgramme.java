package org.logophon.app.steps.share;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.services.project.bed.LaidOut;
import org.logophon.app.services.project.take.Take;
import org.logophon.core.review.ApprovalState;

/**
 * What is heard at a link.
 *
 * @param delivery   its number; 0 for the programme as it is now
 * @param newer      number of a later delivery than this one; 0 for none
 * @param targetLufs that its sound is brought to; null for as it was made
 * @param seconds    from its first sample to its last
 * @param laid       what lies under it
 */
record SharedProgramme(
        String title, int delivery, int newer, Double targetLufs, List<SharedCue> cues, double seconds, LaidOut laid) {

    /**
     * A cue with its take; a cue without one isn't heard.
     *
     * @param colour   of its role, a place in the palette
     * @param offsetDb of its loudness against the target
     * @param start    seconds from the programme's start
     * @param heard    the state in which it is heard; null while what is heard isn't what the cue asks for
     */
    record SharedCue(
            UUID id,
            Take take,
            String number,
            String scene,
            String role,
            int colour,
            double offsetDb,
            double start,
            double seconds,
            ApprovalState heard) {

        String text() {
            return take.text();
        }
    }

    Optional<SharedCue> cue(UUID id) {
        return cues.stream().filter(cue -> cue.id().equals(id)).findFirst();
    }

    Optional<SharedCue> ofTake(UUID take) {
        return cues.stream().filter(cue -> cue.take().id().equals(take)).findFirst();
    }
}
