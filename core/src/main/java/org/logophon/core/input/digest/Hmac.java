package org.logophon.core.input.digest;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/** HMAC-SHA-256 (RFC 2104) of texts in UTF-8: only who knows the secret can have made it. */
public final class Hmac {

    private static final String ALGORITHM = "HmacSHA256";

    private Hmac() {}

    /** 32 bytes. */
    public static byte[] of(String secret, String text) {
        try {
            Mac mac = Mac.getInstance(ALGORITHM);
            mac.init(new SecretKeySpec(secret.getBytes(StandardCharsets.UTF_8), ALGORITHM));
            return mac.doFinal(text.getBytes(StandardCharsets.UTF_8));
        } catch (GeneralSecurityException missing) {
            throw new IllegalStateException("Every Java has " + ALGORITHM + ".", missing);
        }
    }
}
