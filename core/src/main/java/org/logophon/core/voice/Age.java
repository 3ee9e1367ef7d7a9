package org.logophon.core.voice;

import java.util.Locale;

/** The age that a voice sounds like. */
public enum Age {
    CHILD,
    YOUNG,
    GROWN,
    OLD;

    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }
}
