package org.logophon.app.platform.failure;

/** Someone changed the same thing meanwhile; nothing was overwritten. */
public class Stale extends RuntimeException {

    public static final String DIRECTION =
            "This was changed in another window meanwhile; the newest values are shown now. Set yours "
                    + "again if you still want it.";

    public Stale(String sentence) {
        super(sentence);
    }
}
