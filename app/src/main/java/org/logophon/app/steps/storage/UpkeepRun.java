package org.logophon.app.steps.storage;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.exceptions.TaskInstanceCurrentlyExecutingException;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.Schedules;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.logophon.app.platform.upkeep.Upkeep;
import org.logophon.app.platform.upkeep.Upkeep.Removed;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;

/** Takes away what nobody needs, part by part: every night, and when somebody asks for it. */
@Component
class UpkeepRun {

    private static final Logger LOG = LoggerFactory.getLogger(UpkeepRun.class);

    /** The job. */
    @Configuration
    static class Job {

        /** When people sleep, where the server is. */
        private static final LocalTime NIGHT = LocalTime.of(3, 30);

        @Bean
        RecurringTask<Void> upkeepTask(ObjectProvider<UpkeepRun> run) {
            return Tasks.recurring("upkeep", Schedules.daily(NIGHT))
                    .execute((instance, context) -> run.getObject().run());
        }
    }

    private final List<Upkeep> parts;
    private final UpkeepReportRepository reports;
    private final Scheduler scheduler;
    private final RecurringTask<Void> task;
    private final Clock clock;

    UpkeepRun(
            List<Upkeep> parts,
            UpkeepReportRepository reports,
            Scheduler scheduler,
            RecurringTask<Void> upkeepTask,
            Clock clock) {
        this.parts =
                parts.stream().sorted(Comparator.comparingInt(Upkeep::turn)).toList();
        this.reports = reports;
        this.scheduler = scheduler;
        this.task = upkeepTask;
        this.clock = clock;
    }

    /** What there is, part by part. */
    List<Upkeep.Held> held() {
        return parts.stream().flatMap(part -> part.held().stream()).toList();
    }

    /** Lets the job run as soon as a server has time for it; one that runs already is the one that was asked for. */
    void soon() {
        try {
            scheduler.reschedule(task.instance(RecurringTask.INSTANCE), clock.instant());
        } catch (TaskInstanceCurrentlyExecutingException running) {
            LOG.info("The upkeep was asked for while it runs");
            return;
        }
        scheduler.triggerCheckForDueExecutions();
    }

    /** True from when it is due until it is done, on whichever server. */
    boolean underWay() {
        return scheduler
                .getScheduledExecution(task.instance(RecurringTask.INSTANCE))
                .filter(job -> job.isPicked() || !job.getExecutionTime().isAfter(clock.instant()))
                .isPresent();
    }

    UpkeepReport run() {
        return run(clock.instant());
    }

    /** @param now the time to go by: what is old enough then goes */
    UpkeepReport run(Instant now) {
        Instant started = clock.instant();
        List<Removed> removed = new ArrayList<>();
        for (Upkeep part : parts) {
            part.remove(now).stream().filter(some -> some.things() > 0).forEach(removed::add);
        }
        UpkeepReport report =
                new UpkeepReport(now, Duration.between(started, clock.instant()).toMillis(), removed);
        reports.add(report);
        LOG.info("The upkeep of the store took {} ms and freed {} bytes", report.tookMillis(), report.bytes());
        return report;
    }
}
