package org.logophon.app.services.project;

import java.util.UUID;
import org.logophon.core.text.reading.PlacedReading;
import org.logophon.core.text.reading.Reading;

/** A reading of one place of a cue. */
public record PlaceReading(UUID cue, PlacedReading placed) {

    /** @param start index in the cue's text */
    public PlaceReading(UUID cue, int start, Reading reading) {
        this(cue, new PlacedReading(start, reading));
    }

    public int start() {
        return placed.start();
    }

    public int end() {
        return placed.end();
    }

    public Reading reading() {
        return placed.reading();
    }

    /** False when the words at the place are others by now. */
    public boolean stands(String text) {
        return placed.stands(text);
    }
}
