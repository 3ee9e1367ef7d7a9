package org.logophon.core.text.normalization;

import java.util.Locale;

/**
 * A degree of how sure a rule is. Whatever it is, the rule's words are said; the proof asks louder where it is
 * less.
 */
public enum Sureness {
    /** There is one sensible way. */
    SURE,
    /** A way that mostly holds, and others that are possible. */
    LIKELY,
    /** Nothing in the text tells. */
    ASK;

    /** As reports write it. */
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }
}
