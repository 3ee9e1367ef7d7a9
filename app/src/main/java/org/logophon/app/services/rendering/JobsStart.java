package org.logophon.app.services.rendering;

import com.github.kagkarlsson.scheduler.Scheduler;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Jobs run once everything else is up: tables migrated, pages served. */
@Component
class JobsStart {

    private final Scheduler scheduler;

    JobsStart(Scheduler scheduler) {
        this.scheduler = scheduler;
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        scheduler.start();
    }
}
