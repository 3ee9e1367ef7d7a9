package org.logophon.app.demo;

import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.deliveries.Choice;
import org.logophon.app.services.deliveries.DeliveryService;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.rendering.RenderService;
import org.logophon.app.services.script.ScriptSaving;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Delivers a demo programme as somebody would: once, then a word is changed, and once more. */
@Component
@ConditionalOnProperty(name = "logophon.demo", havingValue = "true")
class DemoDelivering implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(DemoDelivering.class);
    private static final long LOOK_MILLIS = 700;
    private static final double LUFS = -19;

    private final Projects projects;
    private final ScriptSaving scripts;
    private final RenderService rendering;
    private final DeliveryService delivering;
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "demo-delivering");
        thread.setDaemon(true);
        return thread;
    });

    DemoDelivering(Projects projects, ScriptSaving scripts, RenderService rendering, DeliveryService delivering) {
        this.projects = projects;
        this.scripts = scripts;
        this.rendering = rendering;
        this.delivering = delivering;
    }

    /** Begins with a project that was made now. @param was words that become others between the two */
    void begin(UUID project, String was, String becomes) {
        clock.scheduleWithFixedDelay(
                () -> look(project, was, becomes), LOOK_MILLIS, LOOK_MILLIS, TimeUnit.MILLISECONDS);
    }

    private void look(UUID project, String was, String becomes) {
        try {
            // asked first: what ends between the two questions is counted
            if (delivering.building(project)) {
                return;
            }
            int built = delivering.built(project);
            ProjectView view = projects.view(project);
            int version = view.project().scriptVersion();
            if (version > 2 || built > 1) {
                // somebody works on it, or it is done
                clock.shutdown();
            } else if (view.count(CueState.READY) < view.cues().size()) {
                return;
            } else if (built == version - 1) {
                delivering.build(project, view.project().namePattern(), LUFS, Choice.USUAL);
            } else {
                scripts.save(project, view.project().script().replace(was, becomes), version, "Demo script, shorter");
                rendering.renderChanged(project, 0);
            }
        } catch (NotFound deleted) {
            clock.shutdown();
        } catch (RuntimeException failed) {
            LOG.warn("Nobody delivers the demo: {}", failed.toString());
            clock.shutdown();
        }
    }

    @Override
    public void destroy() {
        clock.shutdownNow();
    }
}
