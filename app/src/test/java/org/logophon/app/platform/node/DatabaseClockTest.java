package org.logophon.app.platform.node;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

/** The database's time, carried on between two answers of it. */
class DatabaseClockTest {

    private static final Instant NOON = Instant.parse("2026-03-01T12:00:00Z");

    /** The monotonic clock: what a machine's own clock says is asked for nowhere. */
    private final AtomicLong nanos = new AtomicLong(7);

    private final DatabaseClock clock = new DatabaseClock(NOON, nanos::get);

    private void pass(Duration time) {
        nanos.addAndGet(time.toNanos());
    }

    @Test
    void itGoesOnByTheMonotonicClock() {
        pass(Duration.ofMillis(1_500));
        assertThat(clock.instant()).isEqualTo(NOON.plusMillis(1_500));
        assertThat(clock.withZone(ZoneId.of("Asia/Tokyo")).instant()).isEqualTo(clock.instant());
    }

    @Test
    void whatTheDatabaseSaysIsHalfItsWayOld() {
        long asked = nanos.get();
        pass(Duration.ofMillis(80));
        assertThat(clock.heard(NOON.plusSeconds(3_600), asked)).isEqualTo(Duration.ofMillis(3_600_000 - 40));
        assertThat(clock.instant()).isEqualTo(NOON.plusSeconds(3_600).plusMillis(40));
    }

    @Test
    void itSaysByHowMuchItWentBack() {
        pass(Duration.ofSeconds(10));
        assertThat(clock.heard(NOON.minusSeconds(3_600), nanos.get())).isEqualTo(Duration.ofSeconds(-3_610));
        assertThat(clock.instant()).isEqualTo(NOON.minusSeconds(3_600));
    }

    @Test
    void aLittleDifferenceIsTheWayAndChangesNothing() {
        pass(Duration.ofSeconds(2));
        Instant before = clock.instant();
        clock.heard(before.plusMillis(15), nanos.get());
        assertThat(clock.instant()).isEqualTo(before);
        long asked = nanos.get();
        pass(Duration.ofSeconds(3));
        clock.heard(before.plusSeconds(1), asked);
        assertThat(clock.instant())
                .as("an answer that took three seconds isn't exact to half a second")
                .isEqualTo(before.plusSeconds(3));
    }
}
