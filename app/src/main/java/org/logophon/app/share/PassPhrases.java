package org.logophon.app.share;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.logophon.app.web.Forbidden;
import org.logophon.app.web.Refused;
import org.logophon.app.web.TooOften;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Pass phrases of links. Who has said the right one gets a cookie that nobody can make without the address and what is kept
 * of the phrase, so that no visit has to be remembered.
 */
@Component
class PassPhrases {

    /** More of a phrase bcrypt doesn't look at. */
    private static final int MOST_BYTES = 72;

    private static final int SHORTEST = 4;
    /** So many may be wrong before one waits; then twice as long each time, an hour at most. */
    private static final int FREE_TRIES = 5;

    private static final Duration FIRST_WAIT = Duration.ofSeconds(15);
    private static final Duration LONGEST_WAIT = Duration.ofHours(1);

    private final ShareRepository table;
    private final Clock clock;
    private final BCryptPasswordEncoder bcrypt = new BCryptPasswordEncoder();

    PassPhrases(ShareRepository table, Clock clock) {
        this.table = table;
        this.clock = clock;
    }

    String kept(String phrase) {
        if (phrase.strip().length() < SHORTEST) {
            throw new Refused("A pass phrase has " + SHORTEST + " characters and more. Some words are best.");
        }
        if (phrase.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            throw new Refused("This pass phrase is longer than is looked at. Make it shorter.");
        }
        return bcrypt.encode(phrase);
    }

    /**
     * @return what the visitor's browser keeps
     * @throws Forbidden for a wrong one
     * @throws TooOften  after many wrong ones
     */
    String enter(Share share, String token, String phrase) {
        Instant now = clock.instant();
        if (share.waitUntil() != null && now.isBefore(share.waitUntil())) {
            long seconds = Math.max(1, Duration.between(now, share.waitUntil()).toSeconds() + 1);
            throw new TooOften("That was wrong too often. Try again in "
                    + (seconds < 90 ? seconds + " seconds." : (seconds + 59) / 60 + " minutes."));
        }
        // counted before it is looked at: many at once are as many tries
        int tries = share.wrong() + 1;
        if (!table.tried(share.id(), share.wrong(), tries, waiting(tries, now))) {
            throw new TooOften("Somebody else tries this very moment. Try again.");
        }
        if (phrase.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES || !bcrypt.matches(phrase, share.phrase())) {
            throw new Forbidden("That isn't the pass phrase.");
        }
        table.tried(share.id(), tries, 0, null);
        return pass(share, token);
    }

    private static Instant waiting(int tries, Instant now) {
        if (tries < FREE_TRIES) {
            return null;
        }
        Duration wait = FIRST_WAIT.multipliedBy(1L << Math.min(10, tries - FREE_TRIES));
        return now.plus(wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait);
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
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(token.getBytes(StandardCharsets.UTF_8), "HmacSHA256"));
            return Base64.getUrlEncoder()
                    .withoutPadding()
                    .encodeToString(mac.doFinal(share.phrase().getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException missing) {
            throw new IllegalStateException("Every Java has HmacSHA256.", missing);
        }
    }
}
