package org.logophon.app.steps.storage;

import java.time.Instant;
import java.util.List;
import org.logophon.app.platform.upkeep.Upkeep.Removed;

/** What the upkeep did when it ran. @param removed without what there was none of */
record UpkeepReport(Instant at, long tookMillis, List<Removed> removed) {

    long bytes() {
        return removed.stream().mapToLong(Removed::bytes).sum();
    }
}
