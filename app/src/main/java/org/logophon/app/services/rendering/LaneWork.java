package org.logophon.app.services.rendering;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.logophon.app.platform.failure.DatabaseAway;
import org.springframework.stereotype.Component;

/** The work of a lane on its turn: cue after cue for a moment; then whoever waits for a server has theirs. */
@Component
class LaneWork {

    private static final Duration TURN = Duration.ofMillis(1_500);

    private final RenderClaims claims;
    private final CueRenderer renderer;
    private final BatchRepository batches;
    private final Lanes lanes;
    private final Scheduler scheduler;
    private final Clock clock;

    LaneWork(
            RenderClaims claims,
            CueRenderer renderer,
            BatchRepository batches,
            Lanes lanes,
            Scheduler scheduler,
            Clock clock) {
        this.claims = claims;
        this.renderer = renderer;
        this.batches = batches;
        this.lanes = lanes;
        this.scheduler = scheduler;
        this.clock = clock;
    }

    CompletionHandler<Void> run(Lane lane) {
        Instant until = clock.instant().plus(TURN);
        while (clock.instant().isBefore(until) && !scheduler.getSchedulerState().isShuttingDown()) {
            Optional<RenderJob> next = claims.next(lane);
            if (next.isEmpty()) {
                return (done, operations) -> {
                    operations.remove();
                    // what was asked for while this lane closed
                    lanes.soon();
                };
            }
            renderer.run(next.get());
        }
        return (done, operations) -> {
            operations.reschedule(done, clock.instant());
            scheduler.triggerCheckForDueExecutions();
        };
    }

    /** The database was away too often while this lane was at a cue. */
    void giveUp(Lane lane) {
        claims.giveUp(lane).ifPresent(job -> batches.finish(job.batch(), job.cue(), DatabaseAway.SENTENCE));
    }
}
