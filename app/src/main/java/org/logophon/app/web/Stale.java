package org.logophon.app.web;

/** Someone changed the same thing meanwhile; nothing was overwritten. */
public class Stale extends RuntimeException {

    public Stale(String sentence) {
        super(sentence);
    }
}
