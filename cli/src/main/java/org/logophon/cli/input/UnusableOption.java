package org.logophon.cli.input;

/** An option has a value that it can't have; the message is a sentence. */
public final class UnusableOption extends RuntimeException {

    public UnusableOption(String sentence) {
        super(sentence);
    }
}
