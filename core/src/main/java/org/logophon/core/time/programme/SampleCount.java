package org.logophon.core.time.programme;

/**
 * A length or a place in time as a whole number of samples at {@value #RATE} Hz, the rate of the programme. Sums of it
 * are exact; seconds are made of it only at the edge.
 */
public record SampleCount(long samples) implements Comparable<SampleCount> {

    /** Samples a second. Video practice. */
    public static final int RATE = 48_000;

    private static final int PER_MILLI = RATE / 1_000;

    public static final SampleCount ZERO = new SampleCount(0);

    /** Exact: a millisecond is 48 samples. */
    public static SampleCount ofMillis(long millis) {
        return new SampleCount(Math.multiplyExact(millis, PER_MILLI));
    }

    /** To the nearest sample: for an estimate, which is no exact figure anyway. */
    public static SampleCount nearest(double seconds) {
        return new SampleCount(Math.round(seconds * RATE));
    }

    /**
     * What a sound of another rate comes to when it is converted: its length in time, to the nearest sample. Finished
     * clips are exactly so long.
     *
     * @param samples of the sound, 0 or more
     * @param rate    samples a second of the sound
     */
    public static SampleCount converted(long samples, int rate) {
        return new SampleCount((samples * RATE + rate / 2) / rate);
    }

    public SampleCount plus(SampleCount other) {
        return new SampleCount(Math.addExact(samples, other.samples));
    }

    public SampleCount minus(SampleCount other) {
        return new SampleCount(Math.subtractExact(samples, other.samples));
    }

    public double seconds() {
        return samples / (double) RATE;
    }

    /** Rounded to the nearest millisecond. */
    public long millis() {
        return Math.floorDiv(samples + PER_MILLI / 2, PER_MILLI);
    }

    @Override
    public int compareTo(SampleCount other) {
        return Long.compare(samples, other.samples);
    }
}
