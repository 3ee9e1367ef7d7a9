package org.logophon.core.timecode;

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

    /** Frames that one second of timecode counts. */
    public int counted() {
        return (frames + seconds - 1) / seconds;
    }
}
