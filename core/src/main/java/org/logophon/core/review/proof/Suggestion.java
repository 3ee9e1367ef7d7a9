package org.logophon.core.review.proof;

import java.util.Locale;

/**
 * Something to do about a finding.
 *
 * @param text the words to say, the text to write instead, or for a cut the word that it comes after
 * @param at   for a cut the index in the cue's text of the word that the new cue starts with; −1 otherwise
 */
public record Suggestion(Act act, String text, int at) {

    public Suggestion(Act act, String text) {
        this(act, text, -1);
    }

    /** What taking it does. */
    public enum Act {
        /** Keeps the text and says it in these words. */
        SAY,
        /** Keeps the text and says it letter by letter. */
        LETTERS,
        /** Writes this instead. */
        WRITE,
        /** Starts a new cue after these words. */
        CUT,
        /** Starts new cues at ends of sentences, all through a cue. */
        SPLIT,
        /** Takes the text out. */
        REMOVE,
        /** Takes a written direction out, and puts the mark there that it stands for; the text says which. */
        MARK,
        /** Says the words as in another language, in the voice's own sounds; the text is its tag. */
        LANGUAGE,
        /** Casts a voice of the language; the text is the voice's name. */
        CAST
    }

    public static Suggestion say(String words) {
        return new Suggestion(Act.SAY, words);
    }

    /** As it is offered: the words to say or to write, or what would be done. */
    public String sentence() {
        return switch (act) {
            case SAY, LETTERS, WRITE -> text;
            case CUT -> "Split after “" + text + "”";
            case SPLIT -> "Split at sentences";
            case REMOVE -> "Take it out";
            case MARK -> "Set a mark: " + text;
            case LANGUAGE -> "Say it as " + Locale.forLanguageTag(text).getDisplayLanguage(Locale.ENGLISH);
            case CAST -> "Cast " + text;
        };
    }
}
