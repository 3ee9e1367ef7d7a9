package org.logophon.core.voice.take;

import java.util.List;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.voice.Tuning;

/**
 * Everything that made a take, as it was then: enough to give the take's direction back, and to say what tells two
 * takes apart. Written and read by {@link TakeOriginJson}. A part that isn't known is null: takes that were made before
 * it was kept know little of themselves.
 *
 * @param text          the words
 * @param role          who spoke
 * @param voice         null for a take that no voice of an engine spoke
 * @param engineVersion name and version of the engine; null without one
 * @param project       direction of the whole script
 * @param ofRole        direction of the role
 * @param ofCue         direction of the cue
 * @param pauses        how the role rested of itself
 * @param livelyPercent how much the role's takes differ by chance
 * @param seed          of that chance
 * @param marks         on the words, suggestions among them
 * @param pronunciations what was said otherwise than written, by lists of readings and by marks
 * @param paceFactor    that all levels, the style and the voice's tuning came to
 * @param semitones     the same
 * @param treatment     what was done beside pace and pitch, in words; empty for nothing
 */
public record TakeOrigin(
        String text,
        String role,
        VoiceThen voice,
        String engineVersion,
        Direction project,
        Direction ofRole,
        Direction ofCue,
        PauseDefaults pauses,
        Integer livelyPercent,
        Long seed,
        List<MarkThen> marks,
        List<Pronunciation> pronunciations,
        double paceFactor,
        double semitones,
        String treatment) {

    /**
     * A voice as it was: a house voice may have been tuned otherwise since.
     *
     * @param baseId its own id, but for a house voice
     */
    public record VoiceThen(String id, String name, String baseId, Tuning tuning) {}

    /** A mark in its written form. */
    public record MarkThen(int start, int end, String kind, String value, Mark.Origin origin, String reason) {

        public static MarkThen of(Mark mark) {
            return new MarkThen(
                    mark.start(),
                    mark.end(),
                    mark.instruction().id(),
                    mark.instruction().value(),
                    mark.origin(),
                    mark.reason());
        }

        public Mark mark() {
            return new Mark(start, end, Instruction.of(kind, value), origin, reason);
        }
    }

    /** Of a take that nothing made but its words: a recording. @param voice the recording as a voice; null for none */
    public static TakeOrigin spoken(String text, String role, VoiceThen voice) {
        return new TakeOrigin(text, role, voice, null, null, null, null, null, null, null, null, null, 1, 0, "");
    }

    /** The marks as they stood on its words; none where they aren't known. */
    public Marks standing() {
        return marks == null
                ? Marks.NONE
                : new Marks(marks.stream().map(MarkThen::mark).toList());
    }
}
