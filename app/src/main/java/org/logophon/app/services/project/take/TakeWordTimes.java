package org.logophon.app.services.project.take;

import java.util.List;
import org.logophon.app.services.project.take.SpeechRepository.Timed;
import org.logophon.core.text.script.WordSpread;
import org.logophon.core.voice.finish.Clip.TimedWord;

/** The word times of a clip, in seconds from its first sample. */
public final class TakeWordTimes {

    private TakeWordTimes() {}

    /** Words that nothing has timed are spread over the clip. */
    public static List<TimedWord> of(Take take, Timed timed) {
        double seconds = take.sound().seconds();
        if (timed.words().isEmpty()) {
            return WordSpread.over(take.text(), seconds).stream()
                    .map(word -> new TimedWord(word.start(), word.end(), word.fromSeconds(), word.toSeconds()))
                    .toList();
        }
        double rate = timed.rate();
        return timed.words().stream()
                .map(word -> new TimedWord(
                        word.start(),
                        word.end(),
                        Math.min(seconds, word.startSample() / rate),
                        Math.min(seconds, word.endSample() / rate)))
                .toList();
    }
}
