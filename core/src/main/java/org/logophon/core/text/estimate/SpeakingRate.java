package org.logophon.core.text.estimate;

/**
 * How fast a voice speaks at 100 % pace.
 *
 * @param factor its time over the {@link ReferenceTime} of the same words: below 1 for a fast voice
 */
public record SpeakingRate(double factor) {

    public SpeakingRate {
        if (!(factor > 0)) {
            throw new IllegalArgumentException(
                    "A voice takes some time for every word, not " + factor + " times the usual.");
        }
    }
}
