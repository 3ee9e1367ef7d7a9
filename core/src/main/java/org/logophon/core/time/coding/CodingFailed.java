package org.logophon.core.time.coding;

import java.io.IOException;

/** A sound can't be coded or read; the message is a sentence for people. */
public final class CodingFailed extends IOException {

    public CodingFailed(String sentence) {
        super(sentence);
    }

    public CodingFailed(String sentence, Throwable cause) {
        super(sentence, cause);
    }
}
