package org.logophon.app.services.deliveries;

/**
 * The sources of a delivered clip: enough to say what has changed.
 *
 * @param take     digest of the take's sound and words
 * @param loudness that was aimed at, with the cue's own offset
 * @param format   of the file
 * @param bed      what lies under the programme, where that is heard in the clip; else empty
 */
public record MadeOf(String take, String loudness, String format, String bed) {

    String written() {
        return take + " " + loudness + " " + format + (bed.isEmpty() ? "" : " " + bed);
    }

    /**
     * What tells a clip from an earlier one; empty for nothing.
     *
     * @param earlier as written; by an older version a digest alone
     */
    public static String difference(String now, String earlier) {
        if (now.equals(earlier)) {
            return "";
        }
        String[] is = now.split(" ");
        String[] was = earlier.split(" ");
        if (was.length < 3) {
            return "sound";
        }
        return !is[0].equals(was[0])
                ? "direction"
                : !is[1].equals(was[1]) ? "loudness" : !is[2].equals(was[2]) ? "format" : "bed";
    }
}
