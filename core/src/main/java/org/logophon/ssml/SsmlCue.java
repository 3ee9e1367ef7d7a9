package org.logophon.ssml;

import java.util.List;
import org.logophon.direction.Direction;
import org.logophon.mark.Marks;
import org.logophon.reading.Reading;

/**
 * A cue as SSML holds it.
 *
 * @param voice     name of its voice; empty for none
 * @param direction of the whole cue
 * @param readings  of single places
 */
public record SsmlCue(String text, String voice, Direction direction, Marks marks, List<PlacedReading> readings) {

    /** A reading at its place. @param start UTF-16 index in the cue's text */
    public record PlacedReading(int start, Reading reading) {

        int end() {
            return start + reading.written().length();
        }
    }
}
