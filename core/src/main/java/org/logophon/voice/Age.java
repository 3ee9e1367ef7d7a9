package org.logophon.voice;

import java.util.Locale;

/** How old a voice sounds. */
public enum Age {
    CHILD, YOUNG, GROWN, OLD;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
