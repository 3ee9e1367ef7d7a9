package org.logophon.app.services.page;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.app.platform.failure.Refused;

/** A target length as typed: {@code 6:00}, {@code 1:02:30}, or seconds. */
public final class TargetTime {

    private static final Pattern FORM = Pattern.compile("(?:(?:(\\d{1,2}):)?(\\d{1,3}):)?(\\d{1,5})");

    private TargetTime() {}

    /** @return seconds, null for nothing typed. @throws Refused with a sentence */
    public static Integer parse(String typed) {
        if (typed.isBlank()) {
            return null;
        }
        Matcher form = FORM.matcher(typed.strip());
        if (!form.matches()) {
            throw new Refused(
                    "A target time is written as minutes and seconds, like 6:00, and \"" + typed + "\" is not.");
        }
        int seconds = number(form.group(1)) * 3600 + number(form.group(2)) * 60 + number(form.group(3));
        if (seconds < 1 || seconds > 24 * 3600) {
            throw new Refused("A target time goes from one second to a day.");
        }
        return seconds;
    }

    private static int number(String digits) {
        return digits == null ? 0 : Integer.parseInt(digits);
    }
}
