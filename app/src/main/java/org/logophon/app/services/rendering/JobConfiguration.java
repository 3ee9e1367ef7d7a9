package org.logophon.app.services.rendering;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.CustomTask;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import javax.sql.DataSource;
import org.logophon.app.platform.node.NodeBeat;
import org.logophon.app.platform.node.NodeSettings;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;

/** The persistent jobs of all steps, on the application's own database. */
@Configuration
class JobConfiguration {

    private static final Duration HEARTBEAT = Duration.ofSeconds(1);
    /** A server that was silent for so many heartbeats is dead, and others take its jobs over. */
    private static final int MISSED_HEARTBEATS = 6;

    private static final Duration LANES_LOOKED_AFTER = Duration.ofSeconds(2);

    /** Below all threads, whatever their number: as soon as one is free it looks for more. */
    private static final double ONE_LESS = 0.99;

    /** Before everything: it costs a moment, and what waits begins with it. */
    private static final int AT_ONCE = 95;

    @Bean
    CustomTask<Void> laneTask(ObjectProvider<LaneWork> work) {
        return Tasks.custom("render-lane", Void.class)
                .onFailure(
                        JobRetry.whileTheDatabaseIsAway(name -> work.getObject().giveUp(Lane.parse(name))))
                .onDeadExecutionRevive()
                .execute((instance, context) -> work.getObject().run(Lane.parse(instance.getId())));
    }

    /** Opens lanes for what a server asked for that died before it opened them, or that was there before this one. */
    @Bean
    RecurringTask<Void> lanesTask(ObjectProvider<Lanes> lanes) {
        return Tasks.recurring("render-lanes", FixedDelay.of(LANES_LOOKED_AFTER))
                .defaultPriority(AT_ONCE)
                .execute((instance, context) -> lanes.getObject().open());
    }

    /** Jobs asked for in a transaction start when it commits, and not at all when it doesn't. */
    @Bean(destroyMethod = "stop")
    Scheduler scheduler(DataSource dataSource, List<Task<?>> tasks, NodeSettings settings, NodeBeat node, Clock clock) {
        List<Task<?>> once = new ArrayList<>(tasks);
        List<RecurringTask<?>> again = new ArrayList<>();
        tasks.stream().filter(task -> task instanceof RecurringTask<?>).forEach(task -> {
            once.remove(task);
            again.add((RecurringTask<?>) task);
        });
        return Scheduler.create(new TransactionAwareDataSourceProxy(dataSource), once)
                .startTasks(again)
                .threads(settings.jobs())
                .schedulerName(new SchedulerName.Fixed("app-" + node.id()))
                .clock(clock::instant)
                .enablePriority()
                // a server takes what it can begin now, and leaves the rest to others
                .pollUsingLockAndFetch(ONE_LESS, 1.0)
                .pollingInterval(Duration.ofMillis(500))
                .heartbeatInterval(HEARTBEAT)
                .missedHeartbeatsLimit(MISSED_HEARTBEATS)
                .shutdownMaxWait(Duration.ofSeconds(5))
                .build();
    }
}
