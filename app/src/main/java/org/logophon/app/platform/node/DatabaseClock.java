package org.logophon.app.platform.node;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.function.LongSupplier;

/**
 * The database's time, carried on by this machine's monotonic clock. All nodes go by it: what one of them wrote down is
 * never in the future of another, and a machine whose own clock jumps neither takes others for dead nor does again what
 * they do.
 */
final class DatabaseClock extends Clock {

    /** Less than that is the way to the database and back. */
    private static final Duration LITTLE = Duration.ofMillis(20);

    private final LongSupplier nanos;
    private volatile Sync last;

    /** What the database's time was at a moment of the monotonic clock. */
    private record Sync(Instant time, long nanos) {}

    DatabaseClock(Instant time, LongSupplier nanos) {
        this.nanos = nanos;
        this.last = new Sync(time, nanos.getAsLong());
    }

    /**
     * Goes on from what the database said.
     *
     * @param asked when it was asked, by the monotonic clock, in nanoseconds
     * @return by how much it is later or, negative, earlier than it would have been
     */
    Duration heard(Instant time, long asked) {
        long now = nanos.getAsLong();
        Instant then = time.plusNanos((now - asked) / 2);
        // an answer that took long says less exactly what time it is
        long unsure = Math.max(LITTLE.toNanos(), now - asked);
        Duration jump = Duration.between(instant(), then);
        if (jump.abs().toNanos() <= unsure) {
            return Duration.ZERO;
        }
        last = new Sync(then, now);
        return jump;
    }

    @Override
    public Instant instant() {
        Sync from = last;
        return from.time().plusNanos(nanos.getAsLong() - from.nanos());
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return zone.equals(ZoneOffset.UTC) ? this : new InZone(this, zone);
    }

    /** The same time in another zone. */
    private static final class InZone extends Clock {

        private final Clock clock;
        private final ZoneId zone;

        InZone(Clock clock, ZoneId zone) {
            this.clock = clock;
            this.zone = zone;
        }

        @Override
        public Instant instant() {
            return clock.instant();
        }

        @Override
        public ZoneId getZone() {
            return zone;
        }

        @Override
        public Clock withZone(ZoneId other) {
            return clock.withZone(other);
        }
    }
}
