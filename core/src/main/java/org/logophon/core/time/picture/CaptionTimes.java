package org.logophon.core.time.picture;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.time.picture.PictureTimes.PictureSlot;
import org.logophon.core.time.programme.SampleCount;

/** Captions (SubRip, WebVTT): each one's times are a slot, its words the name. */
final class CaptionTimes {

    private static final String TIME = "(?:(\\d{1,3}):)?(\\d{1,2}):(\\d{1,2})[.,](\\d{1,3})";
    private static final Pattern TIMES = Pattern.compile("^\\s*" + TIME + "\\s*-->\\s*" + TIME + ".*$");

    private CaptionTimes() {}

    static PictureTimes read(String text) {
        List<PictureSlot> slots = new ArrayList<>();
        String before = "";
        StringBuilder words = new StringBuilder();
        PictureSlot open = null;
        for (String line : text.lines().toList()) {
            Matcher times = TIMES.matcher(line);
            if (times.matches()) {
                add(open, words, slots);
                String number = before.strip().matches("\\d{1,6}") ? before.strip() : "";
                open = new PictureSlot(number, "", at(times, 1), at(times, 5));
                words.setLength(0);
            } else if (line.isBlank()) {
                add(open, words, slots);
                open = null;
                words.setLength(0);
            } else if (open != null) {
                words.append(words.isEmpty() ? "" : " ").append(line.strip().replaceAll("<[^>]{0,200}>", ""));
            }
            before = line;
        }
        add(open, words, slots);
        return new PictureTimes("captions", slots, List.of());
    }

    private static void add(PictureSlot open, StringBuilder words, List<PictureSlot> slots) {
        if (open != null) {
            slots.add(new PictureSlot(open.number(), words.toString(), open.in(), open.out()));
        }
    }

    private static SampleCount at(Matcher times, int group) {
        long hours = times.group(group) == null ? 0 : Long.parseLong(times.group(group));
        long seconds =
                (hours * 60 + Long.parseLong(times.group(group + 1))) * 60 + Long.parseLong(times.group(group + 2));
        String fraction = (times.group(group + 3) + "00").substring(0, 3);
        return SampleCount.ofMillis(seconds * 1_000 + Long.parseLong(fraction));
    }
}
