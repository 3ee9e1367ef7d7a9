package org.logophon.app.project;

import java.util.UUID;
import org.logophon.core.reading.Pronunciation;
import org.logophon.core.reading.PronunciationKind;
import org.logophon.core.reading.Reading;

/**
 * A reading of one place of a cue.
 *
 * @param start index in the cue's text
 */
public record PlaceReading(UUID cue, int start, Reading reading) {

    public int end() {
        return start + reading.written().length();
    }

    /** False when the words at the place are others by now. */
    public boolean stands(String text) {
        return text.startsWith(reading.written(), start);
    }

    Pronunciation said(String language) {
        return new Pronunciation(start, end(), reading.spoken(language), reading.kind() == PronunciationKind.IPA);
    }
}
