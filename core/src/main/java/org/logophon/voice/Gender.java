package org.logophon.voice;

/** How a voice sounds. */
public enum Gender {
    FEMALE, MALE;

    public String word() {
        return this == FEMALE ? "woman" : "man";
    }
}
