package org.logophon.app.steps.language;

import java.util.List;
import java.util.Locale;
import java.util.UUID;

/**
 * A cue of a version beside the one that it stands for.
 *
 * @param cue      in the version
 * @param first    words of the first language; empty where the first language has no such cue
 * @param seconds  that it runs, measured or estimated
 * @param measured true for measured
 * @param against  what it is held against: its slot, else the first language's length; 0 for nothing
 * @param slot     true where that is its slot
 * @param before   the words that the translation was made from, where they have changed since; else null
 * @param findings sentences
 */
public record VersionRow(
        UUID cue,
        String number,
        String role,
        int colour,
        String first,
        String text,
        State state,
        double seconds,
        boolean measured,
        double against,
        boolean slot,
        String before,
        List<String> findings) {

    /** How far it is. */
    public enum State {
        TO_TRANSLATE("to translate"),
        TO_LOOK_AT("to check"),
        DONE("translated"),
        ALONE("only in this language");

        private final String label;

        State(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        public String id() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /** Seconds that it runs over its slot; 0 where it fits. */
    public double over() {
        return slot ? Math.max(0, seconds - against) : 0;
    }

    /** As in "4.2 s of 3.9 s". */
    public String runs() {
        String runs = "%.1f s".formatted(seconds);
        return against == 0 ? runs : runs + " of %.1f s".formatted(against);
    }
}
