package org.logophon.speech.outside;

import org.logophon.core.voice.render.SpeechFailed;

/** A service has said no to a text, and charges nothing for it. */
public final class ServiceRefused extends SpeechFailed {

    ServiceRefused(String sentence) {
        super(sentence);
    }
}
