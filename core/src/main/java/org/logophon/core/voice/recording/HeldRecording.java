package org.logophon.core.voice.recording;

import java.util.List;
import org.logophon.core.voice.check.TakeFinding;
import org.logophon.core.voice.render.Phone;
import org.logophon.core.voice.render.WordTime;

/**
 * A recording held against its words.
 *
 * @param words    when each written word sounds
 * @param doubts   0–1, of each word: how little it sounds like itself
 * @param phones   single sounds by shares of their words; none where no voice tells them
 * @param findings what an ear would stumble over, in the order of time
 */
public record HeldRecording(List<WordTime> words, List<Double> doubts, List<Phone> phones, List<TakeFinding> findings) {

    public HeldRecording {
        words = List.copyOf(words);
        doubts = List.copyOf(doubts);
        phones = List.copyOf(phones);
        findings = List.copyOf(findings);
    }

    /** How many words are surely there. */
    public long found() {
        return doubts.stream().filter(doubt -> doubt < DOUBTFUL).count();
    }

    /** From here on a word is shown as a doubt. */
    public static final double DOUBTFUL = 0.5;
}
