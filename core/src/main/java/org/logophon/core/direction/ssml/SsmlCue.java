package org.logophon.core.direction.ssml;

import java.util.List;
import java.util.Map;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.text.reading.PlacedReading;

/**
 * A cue as SSML holds it.
 *
 * @param voice     name of its voice; empty for none
 * @param direction of the whole cue
 * @param readings  of single places
 * @param cast      names of the voices of roles that marks name
 * @param places    that somebody has named (SSML 1.1, mark), in order
 */
public record SsmlCue(
        String text,
        String voice,
        Direction direction,
        Marks marks,
        List<PlacedReading> readings,
        Map<String, String> cast,
        List<NamedPlace> places) {

    /** Without named places. */
    public SsmlCue(
            String text,
            String voice,
            Direction direction,
            Marks marks,
            List<PlacedReading> readings,
            Map<String, String> cast) {
        this(text, voice, direction, marks, readings, cast, List.of());
    }

    /** Its marks with its readings, which are marks as well. */
    public Marks allMarks() {
        return marks.plus(new Marks(readings.stream()
                .map(placed -> Mark.own(
                        placed.start(),
                        placed.end(),
                        new Instruction.ReadAs(
                                placed.reading().kind(), placed.reading().said())))
                .toList()));
    }

    /** A name for a place between words. @param at UTF-16 index in the cue's text */
    public record NamedPlace(String name, int at) {}
}
