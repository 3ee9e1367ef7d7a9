package org.logophon.core.voice;

/** How a voice sounds. */
public enum Gender {
    FEMALE,
    MALE;

    public String label() {
        return this == FEMALE ? "woman" : "man";
    }
}
