package org.logophon.core.time.timeline;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.time.timecode.Timecode;

/** Edit decision lists, CMX 3600 style (SMPTE 258M): at most 999 events in one, then there is another. */
public final class Edl {

    /** As the format counts. */
    public static final int MOST_EVENTS = 999;

    private Edl() {}

    /**
     * A clip from its first frame on, at a place of the record.
     *
     * @param track  V, A or A2
     * @param frames that it lasts
     * @param in     first frame on the record, as timecode counts them
     * @param clip   name of its file
     */
    public record Event(String track, long frames, long in, String clip) {}

    /** @return one list or more, in the order of the events */
    public static List<String> of(String title, List<Event> events, FrameRate rate) {
        List<String> lists = new ArrayList<>();
        for (int from = 0; from == 0 || from < events.size(); from += MOST_EVENTS) {
            List<Event> some = events.subList(from, Math.min(events.size(), from + MOST_EVENTS));
            lists.add(list(from == 0 ? title : title + " " + (lists.size() + 1), some, rate));
        }
        return lists;
    }

    private static String list(String title, List<Event> events, FrameRate rate) {
        StringBuilder list = new StringBuilder("TITLE: ")
                .append(oneLine(title).toUpperCase(Locale.ROOT))
                .append("\r\n")
                .append(rate.drop() ? "FCM: DROP FRAME\r\n" : "FCM: NON-DROP FRAME\r\n");
        for (int i = 0; i < events.size(); i++) {
            Event event = events.get(i);
            list.append(String.format(
                    Locale.ROOT,
                    "%03d  AX       %-5s C        %s %s %s %s\r\n* FROM CLIP NAME: %s\r\n",
                    i + 1,
                    event.track(),
                    Timecode.written(0, rate),
                    Timecode.written(event.frames(), rate),
                    Timecode.written(event.in(), rate),
                    Timecode.written(event.in() + event.frames(), rate),
                    oneLine(event.clip())));
        }
        return list.toString();
    }

    /** A list is lines: a name that has one in it would begin another. */
    private static String oneLine(String text) {
        return text.replaceAll("[\\p{Cntrl}\\u2028\\u2029]+", " ").strip();
    }
}
