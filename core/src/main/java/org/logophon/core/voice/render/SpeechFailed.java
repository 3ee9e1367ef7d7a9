package org.logophon.core.voice.render;

/** A cue could not be rendered; the message is a sentence for its user. */
public class SpeechFailed extends RuntimeException {

    public SpeechFailed(String sentence) {
        super(sentence);
    }

    public SpeechFailed(String sentence, Throwable cause) {
        super(sentence, cause);
    }
}
