package org.logophon.app.services.rendering;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.helper.CustomTask;
import com.github.kagkarlsson.shaded.jdbc.SQLRuntimeException;
import java.time.Clock;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import org.logophon.app.platform.failure.DatabaseAway;
import org.logophon.app.platform.node.AfterCommit;
import org.logophon.app.platform.node.NodeSettings;
import org.logophon.app.platform.node.Nodes;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Opens lanes where cues wait. Each closes by itself when nothing waits for it any more. */
@Component
class Lanes implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Lanes.class);
    /** Beside what else is rendered, so many that somebody waits for. */
    private static final int URGENT = 2;

    private final Scheduler scheduler;
    private final CustomTask<Void> task;
    private final RenderClaims claims;
    private final Nodes nodes;
    private final NodeSettings settings;
    private final int most;
    private final Clock clock;
    /** Lanes are opened after the commit, by a connection of their own. */
    private final ExecutorService opening = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "lanes");
        thread.setDaemon(true);
        return thread;
    });

    Lanes(
            Scheduler scheduler,
            CustomTask<Void> laneTask,
            RenderClaims claims,
            Nodes nodes,
            NodeSettings settings,
            @Value("${logophon.workspace-renders}") int most,
            Clock clock) {
        this.scheduler = scheduler;
        this.task = laneTask;
        this.claims = claims;
        this.nodes = nodes;
        this.settings = settings;
        this.most = most;
        this.clock = clock;
    }

    /** Opens what is needed once the caller's transaction has committed. */
    void wanted() {
        AfterCommit.run(this::soon);
    }

    /** Opens what is needed in a moment. */
    void soon() {
        try {
            opening.execute(this::open);
        } catch (RejectedExecutionException stopping) {
            // another server opens them, or this one at its next start
            LOG.debug("No lane is opened by a server that stops");
        }
    }

    /** Opens a lane for each cue that waits, as many as a workspace may have. */
    void open() {
        try {
            boolean opened = false;
            for (RenderClaims.Waiting waiting : claims.waiting()) {
                for (int i = 1; i <= Math.min(URGENT, waiting.urgent()); i++) {
                    opened |= open(new Lane(waiting.workspace(), true, i));
                }
                int lanes = Math.min(atOnce(), waiting.all());
                for (int i = 1; i <= lanes; i++) {
                    opened |= open(new Lane(waiting.workspace(), false, i));
                }
            }
            if (opened) {
                scheduler.triggerCheckForDueExecutions();
            }
        } catch (RuntimeException failed) {
            // what looks for them every two seconds finds them once the database is back
            if (!(failed instanceof SQLRuntimeException) && !DatabaseAway.is(failed)) {
                LOG.error("No lane can be opened", failed);
            }
        }
    }

    private boolean open(Lane lane) {
        return scheduler.scheduleIfNotExists(
                task.instanceBuilder(lane.id()).priority(lane.priority()).build(), clock.instant());
    }

    /** How many a workspace may render at once: what the settings say, or all that the servers can. */
    private int atOnce() {
        return most > 0
                ? most
                : Math.max(
                        settings.jobs(),
                        nodes.there().stream().mapToInt(Nodes.Node::renders).sum());
    }

    @Override
    public void destroy() {
        opening.shutdownNow();
    }
}
