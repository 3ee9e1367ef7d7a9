package org.logophon.app.platform.failure;

/** A request that can't be done as asked; the message says what is wrong and what to do. */
public class Refused extends RuntimeException {

    public Refused(String sentence) {
        super(sentence);
    }
}
