package org.logophon.app.services.project.take;

import java.time.Instant;
import java.util.UUID;
import org.logophon.app.platform.audio.StoredSound;
import org.logophon.core.voice.take.TakeOrigin;

/**
 * One render of a cue or one recording of it, with everything that made it.
 *
 * @param ordinal 1 for T1
 * @param recipe  hash of the recipe; null for a take that wasn't made by one
 * @param speech  what was measured on it
 * @param sound   of it
 * @param origin  what made it
 * @param said    of it by people
 */
public record Take(
        UUID id,
        UUID cueId,
        int ordinal,
        TakeSource source,
        String recipe,
        UUID speech,
        StoredSound sound,
        TakeOrigin origin,
        Instant createdAt,
        TakeWords said,
        boolean deleted) {

    public String name() {
        return "T" + ordinal;
    }

    /** The words as they were then. */
    public String text() {
        return origin.text();
    }
}
