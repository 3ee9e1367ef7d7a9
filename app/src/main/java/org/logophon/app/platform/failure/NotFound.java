package org.logophon.app.platform.failure;

/** What was asked for isn't there; the message is a sentence. */
public class NotFound extends RuntimeException {

    public NotFound(String sentence) {
        super(sentence);
    }
}
