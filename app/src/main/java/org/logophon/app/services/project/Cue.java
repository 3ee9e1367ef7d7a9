package org.logophon.app.services.project;

import java.util.UUID;
import org.logophon.core.direction.Direction;
import org.logophon.core.text.script.Slot;
import org.logophon.core.voice.take.TakenDirection;

/**
 * A cue as written and directed. What became of it, its {@linkplain CueStatus status} says.
 *
 * @param words     written words, counted once when the text was saved
 * @param syllables as they would be spoken, for the estimate of time
 * @param referenceSeconds what an average voice takes for the text; 0 in a row from before that was kept
 * @param taken     what it follows instead of its project and role; null for them
 * @param place     what somebody has said of where it stands
 * @param slot      the time that the picture leaves; null when nobody said
 */
public record Cue(
        UUID id,
        int position,
        String number,
        String scene,
        String role,
        String text,
        int words,
        int syllables,
        double referenceSeconds,
        Slot slot,
        Direction direction,
        int version,
        TakenDirection taken,
        CuePlace place) {}
