package org.logophon.app.steps.status;

import org.logophon.speech.WorkerPool;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/**
 * The processes that speak, in the health of the application. None is no illness: they are begun when they are needed.
 */
@Component("workers")
class WorkersHealth implements HealthIndicator {

    private final WorkerPool pool;

    WorkersHealth(WorkerPool pool) {
        this.pool = pool;
    }

    @Override
    public Health health() {
        return Health.up().withDetail("processes", pool.pids()).build();
    }
}
