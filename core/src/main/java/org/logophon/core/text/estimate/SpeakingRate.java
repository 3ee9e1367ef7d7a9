package org.logophon.core.text.estimate;

/**
 * How fast a voice speaks at 100 % pace.
 *
 * @param factor  its time over the {@link ReferenceTime} of the same words: below 1 for a fast voice
 * @param phrased the same for the words of a phrased text, without its rests
 */
public record SpeakingRate(double factor, double phrased) {

    /** Of the built-in voices on average. */
    private static final double PHRASED = 1.01;

    /** One that nobody has measured in phrased speech. */
    public SpeakingRate(double factor) {
        this(factor, factor * PHRASED);
    }

    /** One that has only been measured in phrased speech. */
    public static SpeakingRate ofPhrased(double phrased) {
        return new SpeakingRate(phrased / PHRASED, phrased);
    }

    /** The same at another factor of unphrased speech; phrased it goes along. */
    public SpeakingRate with(double other) {
        return new SpeakingRate(other, phrased * other / factor);
    }

    public SpeakingRate {
        if (!(factor > 0 && phrased > 0)) {
            throw new IllegalArgumentException(
                    "A voice takes some time for every word, not " + factor + " times the usual.");
        }
    }
}
