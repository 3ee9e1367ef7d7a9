package org.logophon.core.timecode;

import java.util.Locale;

/**
 * Frames a second as an exact fraction.
 *
 * @param frames  in so many
 * @param seconds over 0
 */
public record FrameRate(int frames, int seconds) {

    /** What a project counts in until somebody says otherwise. */
    public static final FrameRate DEFAULT = new FrameRate(25, 1);

    public FrameRate {
        if (frames <= 0 || seconds <= 0) {
            throw new IllegalArgumentException("A frame rate is over nothing, not " + frames + "/" + seconds + ".");
        }
    }

    /**
     * Timecode that counts every frame (SMPTE ST 12-1, non-drop), of the frame that sounds at a sample; from 24 h on it
     * begins again.
     *
     * @param rate samples a second
     */
    public String timecode(long samples, int rate) {
        long frame = Math.multiplyExact(samples, (long) frames) / ((long) rate * seconds);
        long second = frame / counted();
        return String.format(
                Locale.ROOT,
                "%02d:%02d:%02d:%02d",
                second / 3600 % 24,
                second / 60 % 60,
                second % 60,
                frame % counted());
    }

    /** Frames that one second of timecode counts. */
    public int counted() {
        return (frames + seconds - 1) / seconds;
    }
}
