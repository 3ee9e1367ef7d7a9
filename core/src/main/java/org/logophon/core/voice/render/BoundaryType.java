package org.logophon.core.voice.render;

/**
 * The boundary between two pieces of a text that are spoken apart, and how long a voice rests there of itself. Ours.
 */
enum BoundaryType {
    SENTENCE(0.32),
    CLAUSE(0.14),
    WORD(0.02);

    private final double seconds;

    BoundaryType(double seconds) {
        this.seconds = seconds;
    }

    double seconds() {
        return seconds;
    }

    /** By the signs that a piece ends with. */
    static BoundaryType after(String piece) {
        for (int i = piece.length() - 1; i >= 0; i--) {
            char c = piece.charAt(i);
            if (Character.isLetterOrDigit(c)) {
                return WORD;
            }
            if (".!?…。！？".indexOf(c) >= 0) {
                return SENTENCE;
            }
            if (",;:—–،、，".indexOf(c) >= 0) {
                return CLAUSE;
            }
        }
        return WORD;
    }
}
