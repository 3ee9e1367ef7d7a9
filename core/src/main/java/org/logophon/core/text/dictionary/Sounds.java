package org.logophon.core.text.dictionary;

/**
 * How many sounds of each kind a word has.
 *
 * @param stressed   vowels with stress
 * @param weak       vowels without
 * @param longStressed those of the stressed vowels that are long or diphthongs
 * @param consonants consonants
 */
public record Sounds(int stressed, int weak, int longStressed, int consonants) {

    /** Four figures to the base of 36, as the word list has them. */
    static Sounds parse(String figures) {
        return new Sounds(figure(figures, 0), figure(figures, 1), figure(figures, 2), figure(figures, 3));
    }

    private static int figure(String figures, int at) {
        return Character.digit(figures.charAt(at), 36);
    }

    Sounds with(int weakMore, int consonantsMore) {
        return new Sounds(stressed, weak + weakMore, longStressed, consonants + consonantsMore);
    }

    /** Vowels and consonants. */
    public int count() {
        return stressed + weak + consonants;
    }

    public int syllables() {
        return Math.max(1, stressed + weak);
    }
}
