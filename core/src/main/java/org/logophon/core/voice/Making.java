package org.logophon.core.voice;

/** A technique of making speech, from what sounds most like a person to what sounds least. */
public enum Making {
    /** Of what was learned from hours of a person's recordings. */
    STATISTICAL("statistical", "learned from a person's recordings"),
    /** Of a person's recorded half-sounds, joined. */
    DIPHONE("diphone", "a person's recorded sounds, joined"),
    /** An engine of the user's own or of a service, which doesn't say. */
    UNTOLD("not told", "its engine doesn't say how"),
    /** Of resonances computed by rules. */
    FORMANT("formant", "computed by rules, like a machine's");

    private final String word;
    private final String meaning;

    Making(String word, String meaning) {
        this.word = word;
        this.meaning = meaning;
    }

    /** A word of the trade. */
    public String id() {
        return word;
    }

    /** What the word means, for people. */
    public String meaning() {
        return meaning;
    }
}
