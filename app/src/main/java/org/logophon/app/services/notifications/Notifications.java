package org.logophon.app.services.notifications;

import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.people.PeopleSettings;
import org.logophon.app.services.deliveries.DeliveryOver;
import org.logophon.app.services.rendering.BatchOver;
import org.logophon.app.services.rendering.JobQueue;
import org.logophon.app.services.reviewing.VisitorSaid;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The notifications of finished work, stored for pages and queued for sending: all in the transaction that did
 * it, so that nothing is told that didn't happen.
 */
@Service
class Notifications {

    private final NotificationRepository table;
    private final NotificationSettingsRepository wishes;
    private final PeopleSettings people;
    private final JobQueue jobs;
    private final OneTimeTask<Void> task;
    private final Duration longWork;

    /** @param longWork what takes less is seen by who waits for it */
    Notifications(
            NotificationRepository table,
            NotificationSettingsRepository wishes,
            PeopleSettings people,
            JobQueue jobs,
            OneTimeTask<Void> sendTask,
            @Value("${logophon.notifications.long:60s}") Duration longWork) {
        this.table = table;
        this.wishes = wishes;
        this.people = people;
        this.jobs = jobs;
        this.task = sendTask;
        this.longWork = longWork;
    }

    @EventListener
    @Transactional
    public void rendered(BatchOver over) {
        if (over.took().compareTo(longWork) < 0) {
            return;
        }
        String done = over.done() == 1 ? "1 cue is rendered" : over.done() + " cues are rendered";
        String failed =
                over.failed() == 0 ? "" : over.failed() == 1 ? "; 1 to check" : "; " + over.failed() + " to check";
        tell(
                over.project(),
                Notification.Kind.RENDERS,
                done + failed + ".",
                "/projects/" + over.project() + "/direct",
                false);
    }

    @EventListener
    @Transactional
    public void delivered(DeliveryOver over) {
        boolean brief = over.took().compareTo(longWork) < 0;
        tell(
                over.project(),
                Notification.Kind.DELIVERIES,
                over.problem().isEmpty()
                        ? "Delivery " + over.ordinal() + " is ready."
                        : "Delivery " + over.ordinal() + " could not be built: " + over.problem(),
                "/projects/" + over.project() + "/deliver",
                brief);
    }

    @EventListener
    @Transactional
    public void said(VisitorSaid said) {
        tell(
                said.project(),
                Notification.Kind.VISITORS,
                said.sentence(),
                "/projects/" + said.project() + "/listen" + (said.cue() == null ? "" : "?cue=" + said.cue()),
                false);
    }

    private void tell(UUID project, Notification.Kind kind, String sentence, String address, boolean brief) {
        Notification notification = table.add(project, kind, sentence, address, brief)
                .flatMap(id -> table.find(id))
                .orElse(null);
        if (notification == null) {
            // its project was taken away meanwhile, and nobody asks any more
            return;
        }
        List<String> names = new ArrayList<>();
        for (NotificationSettings wish : wishes.elsewhere(notification.workspace(), people.on())) {
            if (wish.of(kind)) {
                names.addAll(Sending.names(notification, wish));
            }
        }
        if (!names.isEmpty()) {
            jobs.add(task, names);
        }
    }

    /** For pages: what is new for somebody, a few at most. */
    List<Notification> since(UUID workspace, NotificationSettings wish, long id, Instant since, int most) {
        return table.after(workspace, id, since, most).stream()
                .filter(notification -> wish.of(notification.kind()))
                .toList();
    }
}
