package org.logophon.core.voice.recording;

/**
 * A word as a recogniser heard it.
 *
 * @param fromSeconds into the recording
 * @param confidence  0–1, how sure it is
 */
public record HeardWord(String word, double fromSeconds, double toSeconds, double confidence) {

    /** The same in a recording that has more before it. */
    public HeardWord later(double seconds) {
        return new HeardWord(word, fromSeconds + seconds, toSeconds + seconds, confidence);
    }
}
