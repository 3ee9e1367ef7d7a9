package org.logophon.core.voice;

import java.util.Locale;

/** How old a voice sounds. */
public enum Age {
    CHILD,
    YOUNG,
    GROWN,
    OLD;

    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }
}
