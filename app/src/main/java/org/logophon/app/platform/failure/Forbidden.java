package org.logophon.app.platform.failure;

/** A refusal for want of a right; its message is a sentence. */
public final class Forbidden extends RuntimeException {

    public Forbidden(String sentence) {
        super(sentence);
    }
}
