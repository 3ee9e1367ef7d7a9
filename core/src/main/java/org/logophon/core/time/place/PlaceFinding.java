package org.logophon.core.time.place;

import java.util.Locale;

/**
 * Something about clips in time that needs a look.
 *
 * @param index    of the cue it is about, from 0; −1 for the whole programme, and for a slot without a cue
 * @param frames   how much it is: over, overlapping, missing
 * @param sentence what it is and what would settle it, for people
 */
public record PlaceFinding(Kind kind, int index, long frames, String sentence) {

    /** What it is. */
    public enum Kind {
        OVER_SLOT,
        OVERLAP,
        EARLY,
        GAP,
        OVER_TARGET,
        EMPTY_SLOT,
        NO_SLOT;

        /** For files: {@code over-slot}. */
        public String id() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }
}
