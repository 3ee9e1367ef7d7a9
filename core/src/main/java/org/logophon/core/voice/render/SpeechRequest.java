package org.logophon.core.voice.render;

import org.logophon.core.voice.Voice;

/**
 * A request to an engine, in its own measure: it need not keep it exactly, {@link Narrator} measures and corrects.
 *
 * @param paceFactor 1 for the voice's own pace
 * @param semitones  against the voice's own pitch
 * @param style      one of the voice's own; empty for its plain way
 * @param agreement  id under which somebody has agreed to pay for it; null while nobody has
 */
public record SpeechRequest(
        Voice voice, SpokenText text, double paceFactor, double semitones, String style, String agreement) {

    /** In the voice's plain way, and nothing is paid for. */
    public SpeechRequest(Voice voice, SpokenText text, double paceFactor, double semitones) {
        this(voice, text, paceFactor, semitones, "", null);
    }
}
