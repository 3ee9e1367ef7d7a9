package org.logophon.app.platform.web;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.failure.TooOften;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** Pass phrases: what is kept of them, and how long one waits after wrong ones. */
public final class PassPhrase {

    /** Bytes of a phrase in UTF-8; more of it bcrypt doesn't look at. */
    public static final int MOST_BYTES = 72;
    /** So many may be wrong before one waits; then twice as long each time, an hour at most. */
    private static final int FREE_TRIES = 5;

    private static final Duration FIRST_WAIT = Duration.ofSeconds(15);
    private static final Duration LONGEST_WAIT = Duration.ofHours(1);
    /** The library's own measure of work; tests, which sign in hundreds of times, take the least. */
    private static final BCryptPasswordEncoder BCRYPT =
            new BCryptPasswordEncoder(Integer.getInteger("logophon.phrase-cost", 10));

    private PassPhrase() {}

    /**
     * What is kept of a new one.
     *
     * @param shortest characters
     * @throws Refused with a sentence for one that is too short or too long
     */
    public static String kept(String phrase, int shortest) {
        if (phrase.strip().length() < shortest) {
            throw new Refused("A pass phrase has " + shortest + " characters or more. Several words are best.");
        }
        if (phrase.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            throw new Refused("This pass phrase is too long. Shorten it.");
        }
        return BCRYPT.encode(phrase);
    }

    public static boolean matches(String phrase, String kept) {
        return phrase.getBytes(StandardCharsets.UTF_8).length <= MOST_BYTES && BCRYPT.matches(phrase, kept);
    }

    /** @param waitUntil null where nobody waits @throws TooOften while one has to */
    public static void mayTry(Instant waitUntil, Instant now) {
        if (waitUntil != null && now.isBefore(waitUntil)) {
            long seconds = Math.max(1, Duration.between(now, waitUntil).toSeconds() + 1);
            throw new TooOften("Too many wrong tries. Try again in "
                    + (seconds < 90 ? seconds + " seconds." : (seconds + 59) / 60 + " minutes."));
        }
    }

    /** @param wrong tries in a row @return until when one waits after them; null for not at all */
    public static Instant waitAfter(int wrong, Instant now) {
        if (wrong < FREE_TRIES) {
            return null;
        }
        Duration wait = FIRST_WAIT.multipliedBy(1L << Math.min(10, wrong - FREE_TRIES));
        return now.plus(wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait);
    }
}
