package org.logophon.app.platform.failure;

/** A refusal of what doesn't exist; its message is a sentence. */
public class NotFound extends RuntimeException {

    public NotFound(String sentence) {
        super(sentence);
    }
}
