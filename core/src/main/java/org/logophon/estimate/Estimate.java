package org.logophon.estimate;

/** How long a text will run, before any sound is made. */
public final class Estimate {

    /** 2,500 characters in about 3 minutes: common practice, no source. */
    public static final double CHARACTERS_PER_SECOND = 2_500 / 180.0;

    private Estimate() {
    }

    /**
     * Seconds of speech, by the practice figure when no voice has been measured.
     *
     * @param measured   the voice's rate, or null
     * @param paceFactor 1 for 100 %
     */
    public static double seconds(String text, String language, SpeakingRate measured, double paceFactor) {
        if (text.isBlank()) {
            return 0;
        }
        double atNormalPace = measured == null ? text.length() / CHARACTERS_PER_SECOND
                : Syllables.of(text, language) / measured.syllablesPerSecond();
        return atNormalPace / paceFactor;
    }
}
