package org.logophon.app.deliver;

import java.util.List;
import org.logophon.app.project.take.Take;
import org.logophon.core.finish.Clip;
import org.logophon.core.script.WordSpread;

/** When the words of a clip are said. */
final class TakeWordTimes {

    private TakeWordTimes() {}

    /** Words that nothing has timed are spread over the clip. */
    static List<Clip.TimedWord> of(Take take, Clip clip) {
        if (!clip.words().isEmpty()) {
            return clip.words();
        }
        double seconds = clip.sound().length() / (double) clip.sound().rate();
        return WordSpread.over(take.text(), seconds).stream()
                .map(word -> new Clip.TimedWord(word.start(), word.end(), word.fromSeconds(), word.toSeconds()))
                .toList();
    }
}
