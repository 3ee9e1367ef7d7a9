package org.logophon.app.platform.failure;

/** A refusal of what existed once; its message is a sentence. */
public final class Gone extends RuntimeException {

    public Gone(String sentence) {
        super(sentence);
    }
}
