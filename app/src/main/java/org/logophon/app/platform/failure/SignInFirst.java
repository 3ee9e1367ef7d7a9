package org.logophon.app.platform.failure;

/** A refusal until somebody signs in: a page leads to the sign-in page, anything else gets a sentence. */
public final class SignInFirst extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public SignInFirst() {
        super("You are signed out. Sign in again in another window; what is on this page stays.");
    }
}
