package org.logophon.core.text.estimate;

/**
 * What an average voice at 100 % pace takes for a text.
 *
 * @param seconds as its engine gives it, pauses included
 * @param words   for its words alone, phrased
 * @param rests   for the rests of its phrasing
 */
public record TextTime(double seconds, double words, double rests) {

    /** Of which only the whole is known. */
    public TextTime(double seconds) {
        this(seconds, seconds, 0);
    }
}
