package org.logophon.cli.narrate;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.util.List;

/**
 * What {@code narrate --json} prints.
 *
 * @param charged null when nothing was paid
 */
record NarrationReport(
        List<ClipEntry> clips,
        List<String> warnings,
        @JsonInclude(JsonInclude.Include.NON_NULL) Charged charged) {

    /**
     * A clip.
     *
     * @param loudnessLufs null when there is too little sound to measure
     * @param truePeakDbtp null for silence
     * @param marks        named places of the script; null when it has none
     */
    record ClipEntry(
            String number,
            String file,
            String scene,
            String role,
            String voice,
            String text,
            Double durationSeconds,
            Double loudnessLufs,
            Double truePeakDbtp,
            List<WordEntry> words,
            @JsonInclude(JsonInclude.Include.NON_NULL) List<PlaceEntry> marks) {}

    record WordEntry(String text, Double startSeconds, Double endSeconds) {}

    /** A named place, and when the word after it starts. */
    record PlaceEntry(String name, Double seconds) {}

    record Charged(int characters, BigDecimal price, String currency) {}
}
