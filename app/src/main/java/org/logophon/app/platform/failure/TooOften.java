package org.logophon.app.platform.failure;

/** Asked more often than it is answered; the message is a sentence that says when to ask again. */
public final class TooOften extends RuntimeException {

    public TooOften(String sentence) {
        super(sentence);
    }
}
