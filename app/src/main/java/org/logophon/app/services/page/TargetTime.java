package org.logophon.app.services.page;

import org.logophon.app.platform.failure.Refused;

/** A target length as typed. */
public final class TargetTime {

    private TargetTime() {}

    /** @return seconds, null for nothing typed. @throws Refused with a sentence */
    public static Integer parse(String typed) {
        Integer seconds = TypedTime.seconds(typed, "A target time");
        if (seconds != null && (seconds < 1 || seconds > 24 * 3600)) {
            throw new Refused("A target time goes from one second to a day.");
        }
        return seconds;
    }
}
