package org.logophon.core.voice;

/** The gender that a voice sounds like. */
public enum Gender {
    FEMALE,
    MALE;

    public String label() {
        return this == FEMALE ? "woman" : "man";
    }
}
