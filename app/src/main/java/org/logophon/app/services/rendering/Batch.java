package org.logophon.app.services.rendering;

import java.util.UUID;

/**
 * The progress of a batch.
 *
 * @param running number of the cue that comes next, empty when nothing waits
 * @param failed  cues that ended with a sentence instead of a take
 * @param paused  true while no more of it is begun
 * @param secondsLeft by the pace of what was rendered last, with others’ turns between; −1 while nothing is
 */
public record Batch(
        UUID id,
        int total,
        int waiting,
        int failed,
        String running,
        boolean paused,
        boolean cancelled,
        long secondsLeft) {

    private static final int A_WHILE_SECONDS = 100;

    /**
     * For whom it is, and under which agreement it may pay: null for none.
     *
     * @param chance of its own: then its takes lie beside the kept ones; null for what the cues ask for
     */
    record BatchRequest(UUID project, UUID agreement, Chance chance) {}

    /** Another take of the same: how much it may differ, and by which seed. */
    record Chance(long seed, int livelyPercent) {}

    public boolean over() {
        return waiting == 0;
    }

    public int done() {
        return total - waiting;
    }

    public int percent() {
        return total == 0 ? 100 : 100 * done() / total;
    }

    /** As people say it: 40 s, 3 min, 1 h 20 min. */
    public String left() {
        long minutes = Math.round(secondsLeft / 60.0);
        return secondsLeft < A_WHILE_SECONDS
                ? secondsLeft + " s"
                : minutes < 60 ? minutes + " min" : minutes / 60 + " h " + minutes % 60 + " min";
    }
}
