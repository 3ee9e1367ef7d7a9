package org.logophon.app.services.rendering;

import java.util.Arrays;

/**
 * The pace at which a workspace renders, by what it ended last. How long a cue takes follows from its letters; while a
 * batch was paused, or no server ran, isn't counted.
 *
 * <p>Projects have their cues in turn. Until the last cue of one of them is rendered, each of the others has had as
 * much, or all that it asked for: so much stands between a batch and its end.
 *
 * @param lettersASecond 0 while it isn't known
 */
record RenderPace(double lettersASecond) {

    static final RenderPace UNKNOWN = new RenderPace(0);

    /**
     * Cues that say how fast it goes, at least, or those of a minute: more than a turn of each lane, few enough to be
     * of now.
     */
    private static final int LATELY = 60;

    private static final double LATELY_SECONDS = 60;

    /** Cues that are looked at. */
    static final int MOST = 300;

    /** So much longer than the usual one, and a gap is one in which no server ran. */
    private static final double PAUSE = 8;

    /** Others' turns may take as long as that. */
    private static final double LEAST_PAUSE_SECONDS = 30;

    /**
     * @param begun   when the batch was asked for, in seconds
     * @param goneOn  when its last pause ended, in seconds; negative infinity for none
     * @param ends    when each of the last cues of the workspace ended since then, in seconds, in order: one more than
     *     {@link #MOST} where there are as many, of which the first only says when the others began
     * @param letters of each
     */
    static RenderPace of(double begun, double goneOn, double[] ends, int[] letters) {
        if (ends.length == 0) {
            return UNKNOWN;
        }
        int first = first(ends);
        double[] gaps = new double[ends.length - first];
        for (int i = first; i < ends.length; i++) {
            double from = i > 0 ? ends[i - 1] : begun;
            gaps[i - first] = ends[i] - (from < goneOn && goneOn < ends[i] ? goneOn : from);
        }
        double[] sorted = gaps.clone();
        Arrays.sort(sorted);
        double longest = Math.max(LEAST_PAUSE_SECONDS, PAUSE * sorted[sorted.length / 2]);
        double seconds = 0;
        long done = 0;
        for (int i = 0; i < gaps.length; i++) {
            if (gaps[i] <= longest) {
                seconds += gaps[i];
                done += letters[i + first];
            }
        }
        return seconds <= 0 || done == 0 ? UNKNOWN : new RenderPace(done / seconds);
    }

    /** The first that counts. What ended before it says when it began. */
    private static int first(double[] ends) {
        int first = ends.length > MOST ? 1 : 0;
        double now = ends[ends.length - 1];
        while (ends.length - first > LATELY && ends[first] < now - LATELY_SECONDS) {
            first++;
        }
        return first;
    }

    /** @param lettersLeft of the batch, and of others beside it @return at least 1; −1 while it isn't known */
    long seconds(long lettersLeft) {
        return lettersASecond == 0 ? -1 : Math.max(1, Math.round(lettersLeft / lettersASecond));
    }
}
