package org.logophon.documents;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Times of a table: seconds, minutes and seconds, hours too, with a fraction or with frames at 25 a second. */
final class SlotTimes {

    private static final Pattern CLOCK =
            Pattern.compile("(?:(?:(\\d{1,3}):)?(\\d{1,3}):)?(\\d{1,5})(?:[.,](\\d{1,6})|[:;](\\d{2}))?");
    private static final Pattern FRAMES = Pattern.compile("(\\d{1,3}):(\\d{2}):(\\d{2})[:;](\\d{2})");

    private SlotTimes() {}

    /** Milliseconds, or −1 when it is no time. */
    static int millis(String written) {
        String time = written.strip();
        Matcher frames = FRAMES.matcher(time);
        if (frames.matches()) {
            return seconds(frames.group(1), frames.group(2), frames.group(3)) * 1000
                    + Integer.parseInt(frames.group(4)) * 40;
        }
        Matcher clock = CLOCK.matcher(time);
        if (!clock.matches() || clock.group(5) != null) {
            return -1;
        }
        int fraction = clock.group(4) == null ? 0 : Integer.parseInt((clock.group(4) + "00").substring(0, 3));
        return seconds(clock.group(1), clock.group(2), clock.group(3)) * 1000 + fraction;
    }

    private static int seconds(String hours, String minutes, String seconds) {
        return number(hours) * 3600 + number(minutes) * 60 + number(seconds);
    }

    private static int number(String digits) {
        return digits == null ? 0 : Integer.parseInt(digits);
    }
}
