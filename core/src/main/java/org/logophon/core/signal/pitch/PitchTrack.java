package org.logophon.core.signal.pitch;

import java.util.Arrays;

/**
 * The fundamental frequency of a voice over time.
 *
 * @param hertz one value for each hop, 0 where nothing is voiced
 */
public record PitchTrack(float[] hertz) {

    /** Time between two values. */
    public static final double HOP_SECONDS = 0.010;

    /** The part between two samples of the sound that it was taken from. @param rate of that sound */
    public PitchTrack between(int fromSample, int toSample, int rate) {
        int from = (int) Math.max(0, fromSample / (HOP_SECONDS * rate));
        int to = (int) Math.min(hertz.length, Math.ceil(toSample / (HOP_SECONDS * rate)));
        return new PitchTrack(from >= to ? new float[0] : Arrays.copyOfRange(hertz, from, to));
    }

    /** Median over the voiced values, in Hz; 0 when nothing is voiced. */
    public double medianHz() {
        float[] sorted = voiced();
        int count = sorted.length;
        if (count == 0) {
            return 0;
        }
        return count % 2 == 1 ? sorted[count / 2] : (sorted[count / 2 - 1] + sorted[count / 2]) / 2.0;
    }

    /**
     * How far the pitch strays: from the 10th to the 90th percentile of the voiced values, in semitones; 0 when nothing
     * is voiced.
     */
    public double spreadSemitones() {
        float[] sorted = voiced();
        int count = sorted.length;
        return count == 0 ? 0 : semitones(sorted[count / 10], sorted[count - 1 - count / 10]);
    }

    /** The voiced values, rising. */
    private float[] voiced() {
        float[] voiced = new float[hertz.length];
        int count = 0;
        for (float value : hertz) {
            if (value > 0) {
                voiced[count++] = value;
            }
        }
        float[] sorted = Arrays.copyOf(voiced, count);
        Arrays.sort(sorted);
        return sorted;
    }

    /** Share of the hops that are voiced, 0–1. */
    public double voicedShare() {
        int voiced = 0;
        for (float value : hertz) {
            voiced += value > 0 ? 1 : 0;
        }
        return hertz.length == 0 ? 0 : voiced / (double) hertz.length;
    }

    /** The interval from one frequency to another, in semitones: 12·log₂(f′/f). */
    public static double semitones(double fromHz, double toHz) {
        return 12 * Math.log(toHz / fromHz) / Math.log(2);
    }
}
