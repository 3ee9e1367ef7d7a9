package org.logophon.core.voice.finish;

import java.util.List;
import org.logophon.core.signal.loudness.Loudness;
import org.logophon.core.signal.sound.SoundSource;

/**
 * Speech ready to deliver.
 *
 * @param sound    read as often as wanted; never held whole when it is long
 * @param words    in the order of the text
 * @param loudness measured on the clip
 * @param truePeakDbtp measured on the clip
 */
public record Clip(SoundSource sound, List<TimedWord> words, Loudness loudness, double truePeakDbtp) {

    /** @param start UTF-16 index in the cue's text; times in seconds from the clip's first sample */
    public record TimedWord(int start, int end, double startSeconds, double endSeconds) {}
}
