package org.logophon.core.text.estimate;

/** How long a text will run, before any sound is made. */
public final class Estimate {

    /** 2,500 characters in about 3 minutes: common practice, no source. */
    public static final double CHARACTERS_PER_SECOND = 2_500 / 180.0;

    private Estimate() {}

    /**
     * Seconds of speech, by the practice figure when no voice has been measured.
     *
     * @param referenceSeconds by {@link ReferenceTime}
     * @param measured   the voice's rate, or null
     * @param paceFactor 1 for 100 %
     */
    public static double seconds(int characters, double referenceSeconds, SpeakingRate measured, double paceFactor) {
        double atNormalPace =
                measured == null ? characters / CHARACTERS_PER_SECOND : referenceSeconds * measured.factor();
        return atNormalPace / paceFactor;
    }
}
