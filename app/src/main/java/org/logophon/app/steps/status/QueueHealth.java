package org.logophon.app.steps.status;

import java.time.Clock;
import java.time.Duration;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** Work that waits, in the health of the application: down when nobody begins it any more. */
@Component("queue")
class QueueHealth implements HealthIndicator {

    /** Cues that wait behind others are no illness; that nothing is begun while something waits is one. */
    private static final Duration STUCK = Duration.ofMinutes(2);

    private final JobsTable jobs;
    private final Clock clock;

    QueueHealth(JobsTable jobs, Clock clock) {
        this.jobs = jobs;
        this.clock = clock;
    }

    @Override
    public Health health() {
        JobsTable.Jobs now = jobs.now();
        double oldest = now.oldestSeconds(clock.instant());
        boolean stuck = now.running() == 0 && oldest > STUCK.toSeconds();
        return (stuck ? Health.down() : Health.up())
                .withDetail("waiting", now.waiting())
                .withDetail("running", now.running())
                .withDetail("oldestSeconds", Math.round(oldest))
                .build();
    }
}
