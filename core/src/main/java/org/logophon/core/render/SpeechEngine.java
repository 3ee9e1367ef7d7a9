package org.logophon.core.render;

import org.logophon.core.voice.Voice;

/** The port to a speech engine. Implementations are safe for use by several threads. */
public interface SpeechEngine {

    /** Name and version of what makes a voice, part of every recipe: another version may sound different. */
    String version(Voice voice);

    /** @throws SpeechFailed with a sentence for the user, when no sound can be had */
    Utterance speak(SpeechRequest request);
}
