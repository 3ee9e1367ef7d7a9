package org.logophon.core.time.picture;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.time.picture.PictureTimes.PictureSlot;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.time.timecode.Timecode;

/** An edit decision list (CMX 3600, SMPTE 258M): its record times are the slots. */
final class EdlTimes {

    private static final String TIME = "(\\d{2}[:;.]\\d{2}[:;.]\\d{2}[:;.]\\d{2})";
    private static final Pattern EVENT =
            Pattern.compile("^\\s*(\\d{1,6})\\s+(\\S+)\\s+(\\S+)\\s+(\\S+)(?:\\s+\\d+)?\\s+" + TIME + "\\s+" + TIME
                    + "\\s+" + TIME + "\\s+" + TIME + "\\s*$");
    private static final Pattern NAME = Pattern.compile("^\\*\\s*FROM CLIP NAME:\\s*(.*)$", Pattern.CASE_INSENSITIVE);
    /** An event's number counts events; a cue's stands before the name of its clip. */
    private static final Pattern NUMBERED = Pattern.compile("^(\\d{1,6}\\p{L}?)(?=[_ .-]|$)");

    private static final String MODE = "FCM:";

    private EdlTimes() {}

    static boolean looksLike(String text) {
        return text.lines().limit(40).anyMatch(line -> EVENT.matcher(line).matches() || line.startsWith("TITLE:"));
    }

    static PictureTimes read(String text, FrameRate rate) {
        List<PictureSlot> slots = new ArrayList<>();
        int number = 0;
        for (String line : text.lines().toList()) {
            number++;
            String upper = line.strip().toUpperCase(Locale.ROOT);
            if (upper.startsWith(MODE)) {
                mode(upper, rate);
            }
            Matcher event = EVENT.matcher(line);
            if (event.matches()) {
                slots.add(new PictureSlot("", "", at(event.group(7), rate, number), at(event.group(8), rate, number)));
            }
            Matcher name = NAME.matcher(line.strip());
            if (name.matches() && !slots.isEmpty()) {
                PictureSlot last = slots.remove(slots.size() - 1);
                String clip = name.group(1).strip();
                Matcher numbered = NUMBERED.matcher(clip);
                slots.add(new PictureSlot(numbered.find() ? numbered.group(1) : "", clip, last.in(), last.out()));
            }
        }
        slots.sort(Comparator.comparing(PictureSlot::in));
        return new PictureTimes("an edit decision list", merged(slots), List.of());
    }

    private static void mode(String line, FrameRate rate) {
        boolean drop = !line.contains("NON");
        if (drop != rate.drop()) {
            throw new InvalidInput(
                    "This list counts in " + (drop ? "drop-frame" : "non-drop") + ", and the project has "
                            + rate.label() + ". Give the project the list's rate, or have it written anew.");
        }
    }

    private static SampleCount at(String time, FrameRate rate, int line) {
        try {
            return new SampleCount(
                    rate.firstSample(Timecode.typed(time, rate, 0).frame(), SampleCount.RATE));
        } catch (InvalidInput wrong) {
            throw new InvalidInput("Line " + line + ": " + wrong.getMessage());
        }
    }

    /** Picture and sound of one shot are events of their own with the same times. */
    private static List<PictureSlot> merged(List<PictureSlot> slots) {
        List<PictureSlot> merged = new ArrayList<>();
        for (PictureSlot slot : slots) {
            PictureSlot last = merged.isEmpty() ? null : merged.get(merged.size() - 1);
            if (last == null || !last.in().equals(slot.in()) || !last.out().equals(slot.out())) {
                merged.add(slot);
            }
        }
        return merged;
    }
}
