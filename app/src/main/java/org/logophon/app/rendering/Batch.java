package org.logophon.app.rendering;

import java.time.Instant;
import java.util.UUID;

/**
 * How far a batch is.
 *
 * @param running number of the cue that comes next, empty when nothing waits
 * @param failed  cues that ended with a sentence instead of a take
 */
public record Batch(
        UUID id,
        int total,
        int waiting,
        int failed,
        String running,
        boolean cancelled,
        Instant startedAt,
        Instant now) {

    /**
     * For whom it is, and under which agreement it may pay: null for none.
     *
     * @param chance of its own: then its takes lie beside the kept ones; null for what the cues ask for
     */
    record Asked(UUID project, UUID agreement, Chance chance) {}

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

    /** By the pace so far; −1 while nothing is done. */
    public long secondsLeft() {
        long elapsed = now.toEpochMilli() - startedAt.toEpochMilli();
        return done() == 0 ? -1 : Math.max(1, Math.round(elapsed / 1000.0 / done() * waiting));
    }
}
