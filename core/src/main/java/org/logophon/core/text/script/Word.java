package org.logophon.core.text.script;

/**
 * One written word of a text, without the punctuation around it.
 *
 * @param start UTF-16 index of its first character
 * @param end   UTF-16 index after its last character
 */
public record Word(int start, int end) {

    public Word {
        if (start < 0 || end <= start) {
            throw new IllegalArgumentException(
                    "A word needs at least one character, got " + start + " to " + end + ".");
        }
    }

    /** The word's characters, cut out of the text it was found in. */
    public String in(String text) {
        return text.substring(start, end);
    }
}
