package org.logophon.app.services.rendering;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.logophon.app.platform.node.AfterCommit;
import org.springframework.stereotype.Component;

/** Asks for jobs in the caller's transaction: they start as soon as it commits, and not at all when it doesn't. */
@Component
public class JobQueue {

    private final Scheduler scheduler;
    private final Clock clock;

    JobQueue(Scheduler scheduler, Clock clock) {
        this.scheduler = scheduler;
        this.clock = clock;
    }

    public void add(OneTimeTask<Void> task, List<String> names) {
        List<TaskInstance<?>> instances = new ArrayList<>();
        names.forEach(name -> instances.add(task.instance(name)));
        scheduler.scheduleBatch(instances, clock.instant());
        // the scheduler looks for due jobs at each scheduling, which is too early here: nobody else sees them before
        // the commit
        AfterCommit.run(scheduler::triggerCheckForDueExecutions);
    }
}
