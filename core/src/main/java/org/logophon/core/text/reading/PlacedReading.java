package org.logophon.core.text.reading;

/**
 * A reading at one place of a text.
 *
 * @param start UTF-16 index in the text
 */
public record PlacedReading(int start, Reading reading) {

    /** The index after the written form. */
    public int end() {
        return start + reading.written().length();
    }

    /** Whether the written form still stands there; false when the words at the place are others by now. */
    public boolean stands(String text) {
        return text.startsWith(reading.written(), start);
    }

    /** What is said there. @param language BCP 47 tag of the voice that speaks */
    public Pronunciation said(String language) {
        return new Pronunciation(start, end(), reading.spoken(language), reading.kind() == PronunciationKind.IPA);
    }
}
