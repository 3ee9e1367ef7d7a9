package org.logophon.core.finish;

import java.util.List;
import org.logophon.core.loudness.Loudness;
import org.logophon.core.sound.Sound;

/**
 * Speech ready to deliver.
 *
 * @param words    in the order of the text
 * @param loudness measured on the clip
 * @param truePeakDbtp measured on the clip
 */
public record Clip(Sound sound, List<TimedWord> words, Loudness loudness, double truePeakDbtp) {

    /** @param start UTF-16 index in the cue's text; times in seconds from the clip's first sample */
    public record TimedWord(int start, int end, double startSeconds, double endSeconds) {}
}
