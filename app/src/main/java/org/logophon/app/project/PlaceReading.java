package org.logophon.app.project;

import java.util.UUID;
import org.logophon.reading.As;
import org.logophon.reading.Reading;
import org.logophon.reading.Said;

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

    Said said(String language) {
        return new Said(start, end(), reading.spoken(language), reading.as() == As.IPA);
    }
}
