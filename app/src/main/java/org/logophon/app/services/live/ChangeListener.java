package org.logophon.app.services.live;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.Properties;
import org.logophon.app.platform.node.DatabaseChange;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.postgresql.PGProperty;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Listens to what the database tells, on a connection of its own. After a break pages are told to look again. */
@Component
class ChangeListener implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(ChangeListener.class);
    private static final int WAIT_MILLIS = 5_000;
    private static final int ANSWERS_WITHIN_SECONDS = 15;
    private static final Duration BEFORE_AGAIN = Duration.ofMillis(500);

    private final LiveStreams streams;
    private final ApplicationEventPublisher events;
    private final String url;
    private final String user;
    private final String password;
    private volatile boolean stopped;
    private Thread thread;

    ChangeListener(
            LiveStreams streams,
            ApplicationEventPublisher events,
            @Value("${spring.datasource.url}") String url,
            @Value("${spring.datasource.username}") String user,
            @Value("${spring.datasource.password}") String password) {
        this.streams = streams;
        this.events = events;
        this.url = url;
        this.user = user;
        this.password = password;
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        thread = new Thread(this::run, "change-listener");
        thread.setDaemon(true);
        thread.start();
    }

    private void run() {
        boolean broken = false;
        while (!stopped) {
            try (Connection connection = DriverManager.getConnection(url, how());
                    Statement statement = connection.createStatement()) {
                statement.execute("listen logophon");
                if (broken) {
                    // what was told meanwhile was told to nobody
                    streams.lookAgain();
                    events.publishEvent(DatabaseChange.ANYTHING);
                    broken = false;
                }
                listen(connection.unwrap(PGConnection.class), statement);
            } catch (SQLException away) {
                if (!broken && !stopped) {
                    LOG.warn("Nothing is heard from the database; pages look by themselves until it is back");
                }
                broken = true;
                pause();
            }
        }
    }

    private Properties how() {
        Properties how = new Properties();
        PGProperty.USER.set(how, user);
        PGProperty.PASSWORD.set(how, password);
        PGProperty.SOCKET_TIMEOUT.set(how, ANSWERS_WITHIN_SECONDS);
        return how;
    }

    private void listen(PGConnection connection, Statement statement) throws SQLException {
        while (!stopped) {
            PGNotification[] told = connection.getNotifications(WAIT_MILLIS);
            if (told == null || told.length == 0) {
                // where a cable is out nobody says so: silence is told from a break by asking
                statement.execute("select 1");
                continue;
            }
            for (PGNotification notification : told) {
                Change.parse(notification.getParameter()).ifPresent(this::tell);
            }
        }
    }

    private void tell(Change change) {
        events.publishEvent(new DatabaseChange(change.kind().id(), change.project()));
        streams.changed(change);
    }

    private void pause() {
        try {
            Thread.sleep(BEFORE_AGAIN.toMillis());
        } catch (InterruptedException ending) {
            stopped = true;
        }
    }

    @Override
    public void destroy() {
        stopped = true;
        if (thread != null) {
            thread.interrupt();
        }
    }
}
