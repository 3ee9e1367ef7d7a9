package org.logophon.core.time.caption;

/** Times as caption files have them. */
final class CaptionTime {

    private CaptionTime() {}

    /** Hours, minutes, seconds and milliseconds. @param point between seconds and milliseconds */
    static String written(long millis, char point) {
        return "%02d:%02d:%02d%c%03d"
                .formatted(millis / 3_600_000, millis / 60_000 % 60, millis / 1_000 % 60, point, millis % 1_000);
    }
}
