package org.logophon.app.services.page;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.app.platform.failure.Refused;

/** A length or a place in time as typed: {@code 6:00}, {@code 1:02:30}, or seconds. */
public final class TypedTime {

    private static final Pattern FORM = Pattern.compile("(?:(?:(\\d{1,2}):)?(\\d{1,3}):)?(\\d{1,5})");

    private TypedTime() {}

    /**
     * @param what it is, for the sentence: "A target time"
     * @return seconds, null for nothing typed
     * @throws Refused with a sentence
     */
    public static Integer seconds(String typed, String what) {
        if (typed.isBlank()) {
            return null;
        }
        Matcher form = FORM.matcher(typed.strip());
        if (!form.matches()) {
            throw new Refused(what + " is written as minutes and seconds, like 6:00, and \"" + typed + "\" is not.");
        }
        return number(form.group(1)) * 3600 + number(form.group(2)) * 60 + number(form.group(3));
    }

    private static int number(String digits) {
        return digits == null ? 0 : Integer.parseInt(digits);
    }
}
