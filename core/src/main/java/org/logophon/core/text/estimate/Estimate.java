package org.logophon.core.text.estimate;

/** How long a text will run, before any sound is made. */
public final class Estimate {

    /** 2,500 characters in about 3 minutes: common practice, no source. */
    public static final double CHARACTERS_PER_SECOND = 2_500 / 180.0;

    private static final double PACE_POWER = 0.7;
    private static final double LONGEST_FACTOR = 1.2;

    private Estimate() {}

    /**
     * Seconds of speech, by the practice figure when no voice has been measured.
     *
     * @param time            of an average voice
     * @param phrasingPercent how much of its phrasing is heard
     * @param measured        the voice's rate, or null
     * @param paceFactor      1 for 100 %
     * @param directedPace    what of it is asked of the voice, its own tuning aside
     */
    public static double seconds(
            int characters,
            TextTime time,
            int phrasingPercent,
            SpeakingRate measured,
            double paceFactor,
            double directedPace) {
        double byPractice = characters / CHARACTERS_PER_SECOND;
        SpeakingRate rate = measured != null || time.seconds() == 0
                ? measured
                : new SpeakingRate(Math.max(1e-3, byPractice / time.seconds()));
        double unphrased = (rate == null ? byPractice : time.seconds() * rate.factor()) / paceFactor;
        if (phrasingPercent == 0 || rate == null) {
            return unphrased;
        }
        double phrased = time.words() * rate.phrased() / paceFactor + time.rests() * restFactor(directedPace);
        return unphrased + (phrased - unphrased) * phrasingPercent / 100;
    }

    /** How much longer rests get at a pace: a faster voice rests less, and less so than it speaks. Ours. */
    public static double restFactor(double paceFactor) {
        return Math.min(LONGEST_FACTOR, Math.pow(paceFactor, -PACE_POWER));
    }
}
