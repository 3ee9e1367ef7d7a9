package org.logophon.core.delivery;

import java.util.List;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.time.timecode.Timecode;

/**
 * What is delivered: a programme of clips, and what is known of the whole.
 *
 * @param language BCP 47
 * @param rate     that timecode counts in
 * @param start    timecode of the programme's first frame, as a frame number
 * @param notes    open ones
 * @param readings that hold for the whole
 */
public record Delivered(
        String title,
        String language,
        FrameRate rate,
        long start,
        Programme<DeliveredClip> programme,
        List<Note> notes,
        List<Reading> readings) {

    public Delivered {
        notes = List.copyOf(notes);
        readings = List.copyOf(readings);
    }

    /**
     * A note on a word of a clip.
     *
     * @param number  of the cue
     * @param seconds from the clip's start
     */
    public record Note(String number, double seconds, String word, String remark) {}

    /** The frame that a place in the programme is in, from the programme's start. */
    public long frame(SampleCount at) {
        return rate.frameAt(at.samples(), SampleCount.RATE);
    }

    /** The first frame that starts at a place or after it. */
    public long frameFrom(SampleCount at) {
        return rate.frameAt(rate.rounded(at.samples(), SampleCount.RATE), SampleCount.RATE);
    }

    /** Timecode of a frame that is counted from the programme's start. */
    public String timecode(long frame) {
        return Timecode.written(start + frame, rate);
    }
}
