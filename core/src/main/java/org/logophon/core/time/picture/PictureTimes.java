package org.logophon.core.time.picture;

import java.util.List;
import java.util.Locale;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;

/**
 * Slots as a file has them, in the order of time.
 *
 * @param format  what the file is, for people
 * @param slots   from the start of the picture
 * @param guessed how columns were understood, for people; empty where nothing was guessed
 */
public record PictureTimes(String format, List<PictureSlot> slots, List<String> guessed) {

    static final int MOST_SLOTS = 20_000;
    private static final int MOST_CHARACTERS = 8_000_000;

    /**
     * A stretch of the picture.
     *
     * @param number of a cue or a shot; empty where the file has none
     * @param name   of it, or its words; empty for none
     */
    public record PictureSlot(String number, String name, SampleCount in, SampleCount out) {

        PictureSlot from(long start, FrameRate rate) {
            return new PictureSlot(number, name, from(in, start, rate), from(out, start, rate));
        }

        /** A frame stays one: at a fractional rate the samples between two frames depend on which they are. */
        private static SampleCount from(SampleCount at, long start, FrameRate rate) {
            long frame = rate.frameAt(at.samples() + 1, SampleCount.RATE);
            boolean framed = Math.abs(rate.firstSample(frame, SampleCount.RATE) - at.samples()) <= 1;
            return framed
                    ? new SampleCount(rate.firstSample(frame - start, SampleCount.RATE))
                    : at.minus(new SampleCount(rate.firstSample(start, SampleCount.RATE)));
        }
    }

    /**
     * @param fileName decides where the content leaves it open
     * @param rate     of the project: what timecode in the file counts
     * @param start    the project's first timecode, in frames: times of editors begin there
     * @throws InvalidInput with a sentence that says what is wrong, and where
     */
    public static PictureTimes read(String fileName, String text, FrameRate rate, long start) {
        if (text.length() > MOST_CHARACTERS) {
            throw new InvalidInput("This file is far larger than any list of times. Choose another one.");
        }
        String content = text.startsWith("\uFEFF") ? text.substring(1) : text;
        String name = fileName.toLowerCase(Locale.ROOT);
        String head = content.stripLeading();
        PictureTimes times;
        if (head.startsWith("{")) {
            times = OtioTimes.read(head);
        } else if (head.startsWith("WEBVTT")
                || name.endsWith(".srt")
                || head.lines().limit(4).anyMatch(l -> l.contains("-->"))) {
            times = CaptionTimes.read(head);
        } else if (name.endsWith(".edl") || EdlTimes.looksLike(head)) {
            times = EdlTimes.read(head, rate);
        } else {
            times = TableTimes.read(head, rate);
        }
        return checked(times.fromStart(rate, start));
    }

    /** Editors' timelines begin at an hour or ten; what lies before the project's start was counted from zero. */
    private PictureTimes fromStart(FrameRate rate, long start) {
        SampleCount first = new SampleCount(rate.firstSample(start, SampleCount.RATE));
        boolean after = start > 0 && slots.stream().allMatch(slot -> slot.in().samples() + 1 >= first.samples());
        return after
                ? new PictureTimes(
                        format,
                        slots.stream().map(slot -> slot.from(start, rate)).toList(),
                        guessed)
                : this;
    }

    private static PictureTimes checked(PictureTimes times) {
        List<PictureSlot> slots = times.slots();
        if (slots.isEmpty()) {
            throw new InvalidInput(
                    "There are no times in this file. A line needs an in and an out, or an in and a length.");
        }
        if (slots.size() > MOST_SLOTS) {
            throw new InvalidInput(
                    "This file has %,d times, and a project holds %,d cues.".formatted(slots.size(), MOST_SLOTS));
        }
        for (int i = 0; i < slots.size(); i++) {
            PictureSlot slot = slots.get(i);
            String which = slot.number().isEmpty() ? "Slot " + (i + 1) : "Slot " + slot.number();
            if (slot.out().compareTo(slot.in()) <= 0) {
                throw new InvalidInput(
                        which + " ends before it starts, or at once. Mend it in the file, and read it again.");
            }
            if (slot.in().samples() < 0) {
                throw new InvalidInput(which + " starts before the picture. Mend it in the file, and read it again.");
            }
            if (i > 0 && slot.in().compareTo(slots.get(i - 1).in()) < 0) {
                throw new InvalidInput(which
                        + " starts before the one above it: times run forward. Mend it in the file, "
                        + "and read it again.");
            }
            if (i > 0 && slot.in().compareTo(slots.get(i - 1).out()) < 0) {
                throw new InvalidInput(
                        which + " starts before the one above it ends. Mend it in the file, and read it again.");
            }
        }
        return times;
    }
}
