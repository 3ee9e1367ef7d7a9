package org.logophon.app.services.live;

import java.util.ArrayList;
import java.util.List;
import org.logophon.app.services.rendering.ProgrammeReader.Answer;
import org.logophon.app.services.rendering.ProgrammeReader.ProgrammeCue;

/**
 * The changes of a programme since pages were told last.
 *
 * @param stamp     of the programme as it is now
 * @param all       true when there are other cues, or another order: pages read all of it
 * @param cues      that differ; without their start
 * @param starts    of every cue in milliseconds, when any has moved; else null
 * @param seconds   that the programme runs
 * @param rendering cues under way
 */
record ProgrammeDelta(
        String stamp, boolean all, List<ProgrammeCue> cues, long[] starts, double seconds, long rendering) {

    /** Nothing is known: pages read all of it. */
    static final ProgrammeDelta ALL = new ProgrammeDelta("", true, List.of(), null, 0, 0);

    /** @param before null when pages were told nothing yet */
    static ProgrammeDelta between(Answer before, Answer now) {
        if (before == null
                || before.cues().size() != now.cues().size()
                || !before.frameRate().equals(now.frameRate())) {
            return all(now);
        }
        List<ProgrammeCue> differing = new ArrayList<>();
        boolean moved = false;
        for (int i = 0; i < now.cues().size(); i++) {
            ProgrammeCue old = before.cues().get(i);
            ProgrammeCue cue = now.cues().get(i);
            if (!old.id().equals(cue.id())) {
                return all(now);
            }
            moved |= old.start() != cue.start();
            if (!old.startingAt(0).equals(cue.startingAt(0))) {
                differing.add(cue);
            }
        }
        long[] starts = moved
                ? now.cues().stream()
                        .mapToLong(cue -> Math.round(cue.start() * 1_000))
                        .toArray()
                : null;
        return new ProgrammeDelta(now.stamp(), false, differing, starts, now.seconds(), now.rendering());
    }

    private static ProgrammeDelta all(Answer now) {
        return new ProgrammeDelta(now.stamp(), true, List.of(), null, now.seconds(), now.rendering());
    }
}
