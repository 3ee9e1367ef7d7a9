package org.logophon.core.review.proof;

import java.util.List;
import org.logophon.core.text.reading.ReadingList;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;

/**
 * A cue with what its voice needs to know.
 *
 * @param text     the words to speak
 * @param words    of the text
 * @param language BCP 47 tag of the voice that will speak it
 * @param most     characters that the voice takes at once
 * @param settled  places that readings have settled
 */
public record CueToProof(String text, List<Word> words, String language, int most, List<ReadingList.Match> settled) {

    public static CueToProof of(String text, String language, int most, ReadingList readings) {
        return new CueToProof(text, Words.of(text), language, most, readings.find(text, language));
    }

    boolean english() {
        return language.startsWith("en");
    }

    boolean settled(int start, int end) {
        return settled.stream().anyMatch(match -> match.start() < end && match.end() > start);
    }
}
