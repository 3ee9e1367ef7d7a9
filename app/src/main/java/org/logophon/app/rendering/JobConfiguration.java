package org.logophon.app.rendering;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import javax.sql.DataSource;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;

/** The persistent jobs of all steps, on the application's own database. */
@Configuration
class JobConfiguration {

    private static final Duration HEARTBEAT = Duration.ofSeconds(2);
    /** A server that was silent for so many heartbeats is dead, and others take its jobs over. */
    private static final int MISSED_HEARTBEATS = 4;

    @Bean
    OneTimeTask<Void> renderTask(ObjectProvider<CueRenderer> renderer) {
        return Tasks.oneTime("render-cue")
                .onFailure(JobRetry.whileTheDatabaseIsAway(
                        name -> renderer.getObject().giveUp(RenderJob.parse(name))))
                .execute((instance, context) -> renderer.getObject().run(RenderJob.parse(instance.getId())));
    }

    /** Jobs asked for in a transaction start when it commits, and not at all when it doesn't. */
    @Bean(destroyMethod = "stop")
    Scheduler scheduler(DataSource dataSource, List<Task<?>> tasks) {
        List<Task<?>> once = new ArrayList<>(tasks);
        List<RecurringTask<?>> again = new ArrayList<>();
        tasks.stream().filter(task -> task instanceof RecurringTask<?>).forEach(task -> {
            once.remove(task);
            again.add((RecurringTask<?>) task);
        });
        return Scheduler.create(new TransactionAwareDataSourceProxy(dataSource), once)
                .startTasks(again)
                .threads(Math.max(2, Runtime.getRuntime().availableProcessors()) + 1)
                .schedulerName(new SchedulerName.Fixed("app-" + UUID.randomUUID()))
                .pollingInterval(Duration.ofMillis(500))
                .heartbeatInterval(HEARTBEAT)
                .missedHeartbeatsLimit(MISSED_HEARTBEATS)
                .shutdownMaxWait(Duration.ofSeconds(5))
                .build();
    }
}
