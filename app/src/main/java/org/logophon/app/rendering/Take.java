package org.logophon.app.rendering;

import java.time.Instant;
import java.util.UUID;

/**
 * One render of a cue, with everything that made it.
 *
 * @param ordinal 1 for T1
 * @param recipe  hash of the recipe
 * @param text    the words as they were then
 * @param treatment what was done to it beside pace and pitch, in words; empty for nothing
 */
public record Take(
        UUID id,
        UUID cueId,
        int ordinal,
        String recipe,
        String text,
        String voiceId,
        double paceFactor,
        double semitones,
        String treatment,
        double seconds,
        Instant createdAt) {

    public String name() {
        return "T" + ordinal;
    }
}
