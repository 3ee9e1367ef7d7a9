package org.logophon.app.services.page;

import java.time.Duration;
import java.time.Instant;

/** A time in the past in words, as "5 min ago". */
public final class Ago {

    private Ago() {}

    public static String of(Instant then, Instant now) {
        Duration age = Duration.between(then, now);
        if (age.toMinutes() < 1) {
            return "just now";
        }
        if (age.toHours() < 1) {
            return age.toMinutes() + " min ago";
        }
        return age.toDays() < 1 ? age.toHours() + " h ago" : then.toString().substring(0, 10);
    }
}
