package org.logophon.app.steps.share;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.Instant;
import java.util.Base64;
import org.logophon.app.platform.failure.Forbidden;
import org.logophon.app.platform.failure.TooOften;
import org.logophon.app.platform.web.PassPhrase;
import org.logophon.core.input.digest.Hmac;
import org.springframework.stereotype.Component;

/**
 * Pass phrases of links. Who has said the right one gets a cookie that nobody can make without the address and what is
 * kept of the phrase, so that no visit has to be remembered.
 */
@Component
class PassPhrases {

    private static final int SHORTEST = 4;

    private final ShareRepository table;
    private final Clock clock;

    PassPhrases(ShareRepository table, Clock clock) {
        this.table = table;
        this.clock = clock;
    }

    String kept(String phrase) {
        return PassPhrase.kept(phrase, SHORTEST);
    }

    /**
     * @return what the visitor's browser keeps
     * @throws Forbidden for a wrong one
     * @throws TooOften  after many wrong ones
     */
    String enter(Share share, String token, String phrase) {
        Instant now = clock.instant();
        PassPhrase.mayTry(share.waitUntil(), now);
        // counted before it is looked at: many at once are as many tries
        int tries = share.wrong() + 1;
        if (!table.tried(share.id(), share.wrong(), tries, PassPhrase.waitAfter(tries, now))) {
            throw new TooOften("Someone else is trying right now. Try again.");
        }
        if (!PassPhrase.matches(phrase, share.phrase())) {
            throw new Forbidden("That isn't the pass phrase.");
        }
        table.tried(share.id(), tries, 0, null);
        return pass(share, token);
    }

    /** @param kept by the visitor's browser; null for nothing */
    boolean passes(Share share, String token, String kept) {
        return share.phrase() == null
                || kept != null
                        && MessageDigest.isEqual(
                                kept.getBytes(StandardCharsets.US_ASCII),
                                pass(share, token).getBytes(StandardCharsets.US_ASCII));
    }

    private static String pass(Share share, String token) {
        return Base64.getUrlEncoder().withoutPadding().encodeToString(Hmac.of(token, share.phrase()));
    }
}
