package org.logophon.core.direction.mark;

import java.util.List;
import java.util.stream.Collectors;
import org.logophon.core.direction.Dial;

/**
 * What is done to the words of one take.
 *
 * @param marks         those that are heard
 * @param pauseDefaults        rests where no mark says otherwise
 * @param livelyPercent how much takes differ by chance: 0 not at all
 * @param seed          of that chance: the same seed gives the same take
 */
public record Score(List<Mark> marks, PauseDefaults pauseDefaults, int livelyPercent, long seed) {

    public static final Score NONE = new Score(List.of(), PauseDefaults.NONE, 0, 0);

    public Score {
        marks = List.copyOf(marks);
        Dial.LIVELINESS.check(livelyPercent);
    }

    public boolean empty() {
        return marks.isEmpty() && pauseDefaults.equals(PauseDefaults.NONE) && livelyPercent == 0;
    }

    /** For a recipe; empty when nothing is done. */
    public String canonical() {
        if (empty()) {
            return "";
        }
        return marks.stream().map(Mark::canonical).collect(Collectors.joining(";")) + "|" + pauseDefaults.canonical()
                + "|" + (livelyPercent == 0 ? "0" : livelyPercent + " " + seed);
    }
}
