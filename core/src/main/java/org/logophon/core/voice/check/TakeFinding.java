package org.logophon.core.voice.check;

import java.util.Locale;

/**
 * Something in a take that sounds wrong.
 *
 * @param fromSeconds where it begins, from the take's first sample
 * @param toSeconds   where it ends
 * @param start       UTF-16 index in the take's text of the words that it is at
 * @param end         after their last letter
 * @param sentence    what it is, for people
 */
public record TakeFinding(Kind kind, double fromSeconds, double toSeconds, int start, int end, String sentence) {

    /** What is wrong. */
    public enum Kind {
        MISSING("a word is missing"),
        TWICE("said twice, or drawn out"),
        CUT("cut off"),
        CLICK("a click"),
        LEVEL("falls out of the level"),
        SILENCE("a long silence"),
        PUT_IN("more than the script"),
        STUMBLE("a stumble"),
        HESITATION("a hesitation"),
        BREATH("a loud breath");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        /** For people. */
        public String label() {
            return label;
        }

        /** For files and addresses. */
        public String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
