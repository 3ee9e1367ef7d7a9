package org.logophon.app.platform.web;

import java.security.SecureRandom;
import java.util.Base64;
import org.logophon.core.input.digest.Sha256;

/** The secret part of an address: 192 bits, of which only a digest is kept. */
public final class LinkToken {

    private static final int BYTES = 24;
    private static final SecureRandom RANDOM = new SecureRandom();

    private LinkToken() {}

    /** For an address: it is known to who gets it, and to nobody else. */
    public static String make() {
        byte[] bytes = new byte[BYTES];
        RANDOM.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    /** For the database. */
    public static String digest(String token) {
        return Sha256.hex(token);
    }
}
