package org.logophon.cli.narrate;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.math.BigDecimal;
import java.util.List;

/**
 * What {@code narrate --json} prints.
 *
 * @param findings what doesn't fit the picture; null when there is none
 * @param files    of a delivery, beside its clips: paths from where it was written; null without one
 * @param charged null when nothing was paid
 */
record NarrationReport(
        List<ClipEntry> clips,
        List<String> warnings,
        @JsonInclude(JsonInclude.Include.NON_NULL) List<FindingEntry> findings,
        @JsonInclude(JsonInclude.Include.NON_NULL) List<String> files,
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
            @JsonInclude(JsonInclude.Include.NON_NULL) List<PlaceEntry> marks,

            @JsonInclude(JsonInclude.Include.NON_NULL) @JsonUnwrapped
            InPicture picture) {}

    /**
     * A clip in the picture, where one was asked for.
     *
     * @param in           timecode of its first frame
     * @param out          timecode of the frame after it
     * @param startSamples from the programme's start, at 48 kHz
     * @param slot         that it is for; null for none
     * @param spareFrames  that it leaves of its slot; negative when it runs past it; null without one
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record InPicture(String in, String out, long startSamples, SlotEntry slot, Long spareFrames) {}

    /** Timecode. */
    record SlotEntry(String in, String out) {}

    /** @param cue number of it; null for what concerns all of them */
    record FindingEntry(
            String kind,
            @JsonInclude(JsonInclude.Include.NON_NULL) String cue,
            long frames,
            String sentence) {}

    record WordEntry(String text, Double startSeconds, Double endSeconds) {}

    /** A named place, and when the word after it starts. */
    record PlaceEntry(String name, Double seconds) {}

    record Charged(int characters, BigDecimal price, String currency) {}
}
