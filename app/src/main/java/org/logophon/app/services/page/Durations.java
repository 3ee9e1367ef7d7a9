package org.logophon.app.services.page;

/** Lengths of time as people read them. */
public final class Durations {

    private Durations() {}

    /** {@code 05:42}, or {@code 1:05:42} from an hour on. */
    public static String clock(double seconds) {
        long whole = Math.round(seconds);
        return whole >= 3600
                ? "%d:%02d:%02d".formatted(whole / 3600, whole / 60 % 60, whole % 60)
                : "%02d:%02d".formatted(whole / 60, whole % 60);
    }

    /** {@code 5.8 s}. */
    public static String brief(double seconds) {
        return "%.1f s".formatted(seconds);
    }
}
