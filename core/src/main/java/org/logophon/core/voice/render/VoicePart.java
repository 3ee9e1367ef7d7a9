package org.logophon.core.voice.render;

/**
 * Words of a cue that one voice says.
 *
 * @param from     UTF-16 index in the cue's text where the recipe's text starts
 * @param recipe   of these words alone, without marks
 * @param decibels louder than the cue's own speaker
 * @param own      true for the cue's own speaker
 */
public record VoicePart(int from, Recipe recipe, double decibels, boolean own) {

    /** For the recipe of the whole. */
    String canonical() {
        return from + " " + recipe.hash() + " " + Math.round(decibels * 100);
    }
}
