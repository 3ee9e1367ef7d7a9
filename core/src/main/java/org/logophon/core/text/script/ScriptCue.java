package org.logophon.core.text.script;

import java.util.List;

/**
 * A cue as the script gives it, before it has a number.
 *
 * @param start UTF-16 index in the source of the first character that belongs to the cue
 * @param end   index after its last character
 * @param scene title of the scene it stands in, empty before the first heading
 * @param role  who speaks
 * @param text  the words to speak, on one line, NFC
 * @param places for each character of the text its index in the source
 */
public record ScriptCue(int start, int end, String scene, String role, String text, int[] places) {

    /** A cue of up to so many seconds is easy to hear and to redo. Common practice, no source. */
    public static final int LONG_SECONDS = 45;
    /** Beyond this a cue is no clip but a programme: about ten minutes of speech. Ours. */
    public static final int MOST_CHARACTERS = 10_000;

    public List<Word> words() {
        return Words.of(text);
    }

    /**
     * Where a character of the text stands in the source; for the length of the text, where the cue's last word ends.
     */
    public int sourceAt(int index) {
        return index < places.length ? places[index] : places.length == 0 ? start : places[places.length - 1] + 1;
    }

    /** True for a text that is too long for one cue, and could be said in several. */
    public static boolean tooLong(String text) {
        return text.length() > MOST_CHARACTERS;
    }

    public boolean speakable() {
        return problem(text) == null;
    }

    /**
     * Why a text can't be rendered as one cue, as a sentence that says what to do; null when it can.
     */
    public static String problem(String text) {
        if (tooLong(text)) {
            return "This cue has %,d characters; a cue can hold %,d. Put a blank line where it should be split."
                    .formatted(text.length(), MOST_CHARACTERS);
        }
        if (text.codePoints().noneMatch(com.ibm.icu.lang.UCharacter::isLetterOrDigit)) {
            return "Nothing in this cue can be spoken: it has no letter and no digit. Write words, or make it a "
                    + "note with //.";
        }
        return null;
    }
}
