package org.logophon.app.steps.status;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import java.time.Clock;
import java.util.function.ToDoubleFunction;
import org.logophon.app.platform.disk.DiskRoom;
import org.logophon.speech.WorkerPool;
import org.springframework.stereotype.Component;

/** Figures of the house beside those of Java, the pool of connections and requests, which Micrometer has by itself. */
@Component
class SystemMetrics implements MeterBinder {

    private final JobsTable jobs;
    private final WorkerPool workers;
    private final DiskRoom disk;
    private final Clock clock;

    SystemMetrics(JobsTable jobs, WorkerPool workers, DiskRoom disk, Clock clock) {
        this.jobs = jobs;
        this.workers = workers;
        this.disk = disk;
        this.clock = clock;
    }

    @Override
    public void bindTo(MeterRegistry registry) {
        jobs(registry, "logophon.jobs.waiting", "Jobs that are due and not begun", now -> now.waiting());
        jobs(registry, "logophon.jobs.running", "Jobs that a server is at", now -> now.running());
        jobs(registry, "logophon.jobs.later", "Jobs that failed and come again", now -> now.later());
        jobs(
                registry,
                "logophon.jobs.oldest.seconds",
                "How long the job has waited that waits longest",
                now -> now.oldestSeconds(clock.instant()));
        Gauge.builder("logophon.workers", workers, pool -> pool.pids().size())
                .description("Processes that speak")
                .register(registry);
        Gauge.builder("logophon.disk.free.bytes", disk, DiskRoom::freeBytes)
                .description("Free where the data lies")
                .register(registry);
    }

    private void jobs(MeterRegistry registry, String name, String what, ToDoubleFunction<JobsTable.Jobs> figure) {
        Gauge.builder(name, jobs, table -> figure.applyAsDouble(table.now()))
                .description(what)
                .register(registry);
    }
}
