package org.logophon.documents;

/** A file that no script can be made of; the message is a sentence that says what to do. */
public class DocumentUnusable extends RuntimeException {

    public DocumentUnusable(String sentence) {
        super(sentence);
    }
}
