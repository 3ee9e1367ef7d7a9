package org.logophon.app.steps.watchfolder;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** One server at a time looks into the watched folders. */
@Configuration
@ConditionalOnExpression("!'${logophon.watch-folder}'.isBlank()")
class WatchJob {

    private static final Duration BETWEEN = Duration.ofSeconds(2);

    @Bean
    RecurringTask<Void> watchTask(ObjectProvider<WatchedFolders> folders) {
        return Tasks.recurring("watch-folders", FixedDelay.of(BETWEEN))
                .execute((instance, context) -> folders.getObject().look());
    }
}
