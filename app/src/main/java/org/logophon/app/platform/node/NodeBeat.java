package org.logophon.app.platform.node;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/** The heartbeat of this server, once a second; it also brings the database's time. */
@Component
public class NodeBeat implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(NodeBeat.class);
    private static final long EVERY_SECONDS = 1;
    /** Beats that a busy database may be late with, before anybody is told. */
    private static final long SILENT_AFTER_NANOS = TimeUnit.SECONDS.toNanos(4);

    /** Less is the same as a job that waits for its turn. */
    private static final Duration FAR_BACK = Duration.ofSeconds(-5);

    private final UUID id = UUID.randomUUID();
    private final Nodes nodes;
    private final DatabaseClock clock;
    private final NodeSettings settings;
    private final Environment environment;
    private final ApplicationEventPublisher events;
    /** The second one looks whether the first one waits. */
    private final ScheduledExecutorService beats = Executors.newScheduledThreadPool(2, work -> {
        Thread thread = new Thread(work, "node-beat");
        thread.setDaemon(true);
        return thread;
    });

    private String name;
    private volatile long heardAt;
    private boolean silent;

    NodeBeat(
            Nodes nodes,
            DatabaseClock clock,
            NodeSettings settings,
            Environment environment,
            ApplicationEventPublisher events) {
        this.nodes = nodes;
        this.clock = clock;
        this.settings = settings;
        this.environment = environment;
        this.events = events;
    }

    /** Of this server, for as long as it runs. */
    public UUID id() {
        return id;
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        name = settings.pages() ? machine() + ":" + environment.getProperty("local.server.port") : machine();
        heardAt = System.nanoTime();
        beats.scheduleWithFixedDelay(this::beat, 0, EVERY_SECONDS, TimeUnit.SECONDS);
        beats.scheduleWithFixedDelay(this::look, EVERY_SECONDS, EVERY_SECONDS, TimeUnit.SECONDS);
    }

    private static String machine() {
        try {
            return InetAddress.getLocalHost().getHostName();
        } catch (UnknownHostException unnamed) {
            return "localhost";
        }
    }

    private void beat() {
        try {
            long asked = System.nanoTime();
            Duration jump = clock.heard(nodes.seen(id, name, settings.pages(), settings.jobs()), asked);
            heardAt = System.nanoTime();
            if (jump.compareTo(FAR_BACK) < 0) {
                LOG.warn("The database's clock went back by {} s", -jump.toSeconds());
                events.publishEvent(new ClockWentBack(jump.negated()));
            }
        } catch (RuntimeException failed) {
            // a beat that fails is no reason to fall silent: the next one comes in a second
            LOG.debug("This server can't say that it is there", failed);
        }
    }

    private void look() {
        boolean now = System.nanoTime() - heardAt > SILENT_AFTER_NANOS;
        if (now != silent) {
            silent = now;
            LOG.warn(now ? "The database is silent" : "The database answers again");
            events.publishEvent(new DatabaseSilent(now));
        }
    }

    @Override
    public void destroy() {
        beats.shutdownNow();
        try {
            nodes.left(id);
        } catch (DataAccessException | TransactionException away) {
            LOG.debug("This server can't say that it leaves", away);
        }
    }
}
