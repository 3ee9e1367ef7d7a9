package org.logophon.app.platform.failure;

/** Somebody else's page asks; the message is a sentence. */
public final class Forbidden extends RuntimeException {

    public Forbidden(String sentence) {
        super(sentence);
    }
}
