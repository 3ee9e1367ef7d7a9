package org.logophon.cli.input;

/** A file given can't be used; the message is a sentence. */
public final class InputUnusable extends RuntimeException {

    public InputUnusable(String sentence) {
        super(sentence);
    }
}
