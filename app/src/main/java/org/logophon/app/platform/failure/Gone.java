package org.logophon.app.platform.failure;

/** What was there once and has ended; the message is a sentence. */
public final class Gone extends RuntimeException {

    public Gone(String sentence) {
        super(sentence);
    }
}
