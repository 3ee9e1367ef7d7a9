package org.logophon.estimate;

/**
 * How fast a voice speaks at 100 % pace.
 *
 * @param syllablesPerSecond measured over the voice's own speech, pauses inside it included
 */
public record SpeakingRate(double syllablesPerSecond) {

    public SpeakingRate {
        if (!(syllablesPerSecond > 0)) {
            throw new IllegalArgumentException("A speaking rate is above zero syllables a second, not " + syllablesPerSecond + ".");
        }
    }
}
