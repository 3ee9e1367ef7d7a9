package org.logophon.core.input;

/**
 * What somebody typed, chose or opened can't be used. The message is a whole sentence written for that person: what is
 * wrong, where, and what to do. Only this type's messages are ever shown; those of other exceptions are for the log.
 */
public class InvalidInput extends IllegalArgumentException {

    /** @param sentence for the person who gave the input */
    public InvalidInput(String sentence) {
        super(sentence);
    }

    /** @param cause for the log */
    public InvalidInput(String sentence, Throwable cause) {
        super(sentence, cause);
    }
}
