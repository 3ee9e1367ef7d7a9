package org.logophon.app.services.hired;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.speech.hired.HiredService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * The hired voices, as the service last listed them. It is asked in the background, at the start and now and then;
 * while it
 * doesn't answer, those that were known stay.
 */
@Component
public class HiredVoiceList implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(HiredVoiceList.class);
    private static final Duration AGAIN = Duration.ofMinutes(10);
    private static final Duration AGAIN_AFTER_FAILURE = Duration.ofSeconds(30);

    private final HiredAccess access;
    private final JdbcClient jdbc;
    private final Clock clock;
    private volatile List<Voice> voices = List.of();
    private volatile int changes;
    private volatile Thread thread;

    HiredVoiceList(HiredAccess access, JdbcClient jdbc, Clock clock) {
        this.access = access;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Empty without a service. */
    public List<Voice> all() {
        return voices;
    }

    /** Raised when the list becomes another. */
    public int changes() {
        return changes;
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        if (access.service().isEmpty()) {
            return;
        }
        take(jdbc.sql("select body from hired_list").query(String.class).optional());
        thread = new Thread(() -> follow(access.service().get()), "hired-voices");
        thread.setDaemon(true);
        thread.start();
    }

    private void follow(HiredService service) {
        while (!Thread.currentThread().isInterrupted()) {
            Duration wait = AGAIN;
            try {
                String body = service.list();
                take(Optional.of(body));
                jdbc.sql("insert into hired_list (body, read_at) values (:body, :now) on conflict "
                                + "(only_one) do update set body = :body, read_at = :now")
                        .param("body", body)
                        .param("now", time(clock.instant()))
                        .update();
            } catch (SpeechFailed | DataAccessException | IllegalArgumentException e) {
                // unreachable, or a list whose prices or abilities are none: what was known stays
                LOG.warn("The hired voices can't be listed: {}", e.getMessage());
                wait = AGAIN_AFTER_FAILURE;
            }
            try {
                Thread.sleep(wait.toMillis());
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        }
    }

    private void take(Optional<String> body) {
        List<Voice> listed = body.map(HiredService::voices).orElse(List.of());
        if (!listed.equals(voices)) {
            voices = listed;
            changes++;
        }
    }

    @Override
    public void destroy() {
        if (thread != null) {
            thread.interrupt();
        }
    }
}
