package org.logophon.core.text.script;

import java.util.ArrayList;
import java.util.List;

/**
 * The guessed word times before anything has timed them: each as long as its letters are many, with a
 * rest where a sign stands between two.
 *
 * @param start       UTF-16 index in the text
 * @param end         after its last character
 * @param fromSeconds from the start of the sound
 */
public record WordSpread(int start, int end, double fromSeconds, double toSeconds) {

    /** A short word takes as long as one of so many letters. Ours. */
    private static final int LEAST_LETTERS = 2;
    /** A rest at a sign is as long as a word of so many letters. Ours. */
    private static final int REST_LETTERS = 4;

    private static final String SIGNS = ".,;:!?…—–，。、！？";

    /** @param seconds that the whole text takes */
    public static List<WordSpread> over(String text, double seconds) {
        List<Word> words = Words.of(text);
        double[] letters = new double[words.size()];
        double[] rests = new double[words.size()];
        double sum = 0;
        for (int i = 0; i < letters.length; i++) {
            letters[i] =
                    Math.max(LEAST_LETTERS, words.get(i).end() - words.get(i).start());
            int next = i + 1 < letters.length
                    ? words.get(i + 1).start()
                    : words.get(i).end();
            rests[i] = text.substring(words.get(i).end(), next).chars().anyMatch(c -> SIGNS.indexOf(c) >= 0)
                    ? REST_LETTERS
                    : 0;
            sum += letters[i] + rests[i];
        }
        List<WordSpread> spread = new ArrayList<>();
        double at = 0;
        for (int i = 0; i < letters.length; i++) {
            double to = at + letters[i];
            spread.add(
                    new WordSpread(words.get(i).start(), words.get(i).end(), at / sum * seconds, to / sum * seconds));
            at = to + rests[i];
        }
        return spread;
    }
}
