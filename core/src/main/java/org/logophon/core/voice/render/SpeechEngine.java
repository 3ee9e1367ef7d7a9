package org.logophon.core.voice.render;

import org.logophon.core.voice.Voice;

/** The port to a speech engine. Implementations are safe for use by several threads. */
public interface SpeechEngine {

    /** Name and version of what makes a voice, part of every recipe: another version may sound different. */
    String version(Voice voice);

    /**
     * How much of a pace is best asked of the engine; the rest is made in the signal. Some engines blur when they
     * hurry, where their plain speech made shorter stays clear.
     *
     * @param paceFactor that is wanted, 1 for the voice's own
     */
    default double paceToAsk(Voice voice, double paceFactor) {
        return paceFactor;
    }

    /** @throws SpeechFailed with a sentence for the user, when no sound can be had */
    Utterance speak(SpeechRequest request);
}
