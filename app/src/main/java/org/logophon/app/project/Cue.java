package org.logophon.app.project;

import java.util.UUID;
import org.logophon.core.direction.Direction;
import org.logophon.core.script.Slot;

/**
 * A cue as stored.
 *
 * @param words     written words, counted once when the text was saved
 * @param syllables as they would be spoken, for the estimate of time
 * @param referenceSeconds what an average voice takes for the text; 0 in a row from before that was kept
 * @param slot      the time that the picture leaves; null when nobody said
 * @param keptTake   the take that is delivered; null when there is none
 * @param keptRecipe the cue's recipe when that take was kept: while it is the cue's recipe, nothing has changed
 * @param takeRecipe  what made the kept take; another one when an older take was kept on purpose
 * @param keptSeconds length of the kept take; null when there is none
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
        UUID keptTake,
        String keptRecipe,
        String takeRecipe,
        Double keptSeconds,
        int version) {}
