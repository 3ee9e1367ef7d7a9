package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

/** Looking for memory nearly all the time, several times in a row, ends the process; a peak doesn't. */
class MemoryWatchTest {

    private final AtomicLong collected = new AtomicLong();
    private final MemoryWatch watch = new MemoryWatch(collected::get);

    private List<Boolean> shares(double... shares) {
        List<Boolean> ends = new ArrayList<>();
        for (double share : shares) {
            collected.addAndGet((long) (share * 4_000));
            ends.add(watch.usedUp(4_000));
        }
        return ends;
    }

    @Test
    void aPeakPasses() {
        assertThat(shares(0.95, 0.95, 0.95, 0.1, 0.95, 0.95, 0.95, 0.5)).doesNotContain(true);
    }

    @Test
    void aStateThatStaysEnds() {
        assertThat(shares(0.2, 0.9, 0.95, 0.99, 0.97)).containsExactly(false, false, false, false, true);
    }
}
