package org.logophon.app.services.project;

import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.time.timecode.Timecode;

/**
 * The picture that a project's clips are placed to.
 *
 * @param rate           whose frames clips start on; null while there is no picture: then they stand on exact samples
 * @param startFrame     timecode of the programme's first frame
 * @param leastGapMillis between one cue and the next
 */
public record Picture(FrameRate rate, long startFrame, int leastGapMillis) {

    /** As a project is made. */
    public static final Picture NONE = new Picture(null, 0, 0);

    /** What timecode counts in, with a picture or without. */
    public FrameRate counting() {
        return rate == null ? FrameRate.DEFAULT : rate;
    }

    /** Timecode at a place in the programme. */
    public String timecode(SampleCount at) {
        return Timecode.written(startFrame + counting().frameAt(at.samples(), SampleCount.RATE), counting());
    }

    /** The first sample of the frame that is nearest to a time; the time itself while there is no picture. */
    public SampleCount frameAt(long millis) {
        if (rate == null) {
            return SampleCount.ofMillis(millis);
        }
        FrameRate frames = counting();
        long frame = Math.round(millis * (double) frames.frames() / frames.seconds() / 1_000);
        return new SampleCount(frames.firstSample(frame, SampleCount.RATE));
    }
}
