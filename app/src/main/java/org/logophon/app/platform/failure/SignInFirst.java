package org.logophon.app.platform.failure;

/** Nobody has signed in: a page is answered with the door, anything else with a sentence. */
public final class SignInFirst extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public SignInFirst() {
        super("You are signed out. Sign in again in another window; what is on this page stays.");
    }
}
