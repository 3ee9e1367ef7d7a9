package org.logophon.app.services.notifications;

import com.github.kagkarlsson.scheduler.task.FailureHandler.ExponentialBackoffFailureHandler;
import com.github.kagkarlsson.scheduler.task.FailureHandler.MaxRetriesFailureHandler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;

/**
 * The job that sends one notification one way. What can't be sent now comes again after waits that grow, for some half
 * an hour.
 */
@Component
class Sending {

    private static final Logger LOG = LoggerFactory.getLogger(Sending.class);
    private static final int MOST_TRIES = 8;
    private static final String MAIL = "mail";
    private static final String HOOK = "hook";

    /** The job, beside what it does. */
    @Configuration
    static class Job {
        @Bean
        OneTimeTask<Void> sendTask(
                ObjectProvider<Sending> sending, @Value("${logophon.notifications.wait:30s}") Duration firstWait) {
            return Tasks.oneTime("send-tiding")
                    .onFailure(new MaxRetriesFailureHandler<>(
                            MOST_TRIES,
                            new ExponentialBackoffFailureHandler<>(firstWait),
                            (failed, operations) ->
                                    LOG.warn("A notification could not be sent {} times, and is given up", MOST_TRIES)))
                    .execute((instance, context) -> sending.getObject().send(instance.getId()));
        }
    }

    private final NotificationRepository notifications;
    private final NotificationSettingsRepository wishes;
    private final Mail mail;
    private final Hooks hooks;

    Sending(NotificationRepository notifications, NotificationSettingsRepository wishes, Mail mail, Hooks hooks) {
        this.notifications = notifications;
        this.wishes = wishes;
        this.mail = mail;
        this.hooks = hooks;
    }

    /** Of the jobs that bring a notification to somebody. */
    static List<String> names(Notification notification, NotificationSettings wish) {
        List<String> names = new ArrayList<>();
        if (!wish.mail().isEmpty() && !notification.brief()) {
            names.add(MAIL + " " + notification.id() + " " + wish.id());
        }
        if (!wish.hook().isEmpty()) {
            names.add(HOOK + " " + notification.id() + " " + wish.id());
        }
        return names;
    }

    private void send(String name) {
        String[] parts = name.split(" ");
        Optional<Notification> notification = notifications.find(Long.parseLong(parts[1]));
        Optional<NotificationSettings> wish = wishes.find(UUID.fromString(parts[2]));
        if (notification.isEmpty() || wish.isEmpty()) {
            return;
        }
        // somebody may have changed their mind since it was asked for
        if (parts[0].equals(MAIL) && !wish.get().mail().isEmpty()) {
            mail.send(wish.get().mail(), notification.get());
        } else if (parts[0].equals(HOOK) && !wish.get().hook().isEmpty()) {
            hooks.send(wish.get(), notification.get());
        }
    }
}
