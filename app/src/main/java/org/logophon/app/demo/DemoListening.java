package org.logophon.app.demo;

import java.util.List;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.project.CueRepository;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.MarkRepository;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.review.NoteRepository;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.project.take.TakeWords;
import org.logophon.app.services.rendering.ProgrammeReader;
import org.logophon.app.services.rendering.RenderService;
import org.logophon.app.services.reviewing.Reviewing;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Listens to a demo programme as somebody would, once it is rendered: approves, notes, makes other takes and says which
 * is which, in turns: what one asks for has to be rendered before the next.
 */
@Component
@ConditionalOnProperty(name = "logophon.demo", havingValue = "true")
class DemoListening implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(DemoListening.class);
    private static final long LOOK_MILLIS = 700;
    private static final int SECOND = 1;
    private static final int LOG_BOOK = 2;
    private static final int FOG = 4;

    private final DemoPlaced placed;
    private final Projects projects;
    private final CueRepository cues;
    private final MarkRepository marks;
    private final TakeRepository takes;
    private final NoteRepository notes;
    private final Reviewing reviewing;
    private final RenderService rendering;
    private final DemoRecording recording;
    private final TransactionTemplate transaction;
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "demo-listening");
        thread.setDaemon(true);
        return thread;
    });

    DemoListening(
            DemoPlaced placed,
            Projects projects,
            CueRepository cues,
            MarkRepository marks,
            TakeRepository takes,
            NoteRepository notes,
            Reviewing reviewing,
            RenderService rendering,
            DemoRecording recording,
            TransactionTemplate transaction) {
        this.placed = placed;
        this.projects = projects;
        this.cues = cues;
        this.marks = marks;
        this.takes = takes;
        this.notes = notes;
        this.reviewing = reviewing;
        this.rendering = rendering;
        this.recording = recording;
        this.transaction = transaction;
    }

    /** Begins with a project that was made now; one that somebody has worked on is left alone. */
    void begin(UUID project) {
        clock.scheduleWithFixedDelay(() -> look(project), LOOK_MILLIS, LOOK_MILLIS, TimeUnit.MILLISECONDS);
    }

    private void look(UUID project) {
        try {
            ProjectView view = projects.view(project);
            if (view.project().scriptVersion() > 1) {
                // somebody works on it
                clock.shutdown();
                return;
            }
            if (view.count(CueState.READY) < view.cues().size()) {
                return;
            }
            UUID cue = view.cues().get(SECOND).id();
            switch (takes.of(cue).size()) {
                case 1 -> {
                    transaction.executeWithoutResult(status -> first(view));
                    rendering.renderCue(project, cue, 0);
                }
                case 2 -> rendering.more(project, cue, 1, 0);
                default -> {
                    transaction.executeWithoutResult(status -> second(view));
                    clock.shutdown();
                    recording.say(view);
                }
            }
        } catch (NotFound deleted) {
            clock.shutdown();
        } catch (RuntimeException failed) {
            LOG.warn("Nobody listens to the demo: {}", failed.toString());
            clock.shutdown();
        }
    }

    private void first(ProjectView view) {
        if (!placed.first("the-lantern-room/heard")) {
            return;
        }
        for (int at : List.of(0, 3, FOG, 5)) {
            approve(view, at);
        }
        CueView second = view.cues().get(SECOND);
        note(view, SECOND, "2.3", "Too fast: let the figure stand.");
        note(view, SECOND, "mercury", "Falls too far here. Lift it a little, it is not the end of the thought.");
        note(view, LOG_BOOK, "nothing", "A little longer before “but the sea”?");
        String text = second.cue().text();
        int after = text.indexOf(" t,") + 2;
        cues.direct(
                second.id(), new Direction(96, null, null, null), second.cue().version());
        marks.save(
                second.id(), text, new Marks(List.of(Mark.own(after - 1, after, new Instruction.Pause(300)))).on(text));
        // heard and approved, and then made a little quieter
        CueView fog = view.cues().get(FOG);
        cues.direct(fog.id(), new Direction(null, null, -1.5, null), fog.cue().version());
    }

    private void second(ProjectView view) {
        CueView cue = view.cues().get(SECOND);
        List<Take> all = takes.of(cue.id());
        for (Take take : all) {
            if (take.id().equals(cue.keptTake())) {
                takes.describe(take.id(), new TakeWords("", false, "", List.of("calmer")));
            } else if (take.ordinal() == 1) {
                takes.describe(take.id(), new TakeWords("First reading", true, "", List.of("warm", "brisk")));
            }
        }
        notes.ofCue(cue.id()).stream()
                .filter(note -> note.place().word().startsWith("2.3"))
                .findFirst()
                .ifPresent(note -> reviewing.done(view.id(), note.id(), true));
    }

    private void approve(ProjectView view, int at) {
        CueView cue = view.cues().get(at);
        reviewing.approve(view.id(), cue.id(), ProgrammeReader.address(view.project(), cue));
    }

    private void note(ProjectView view, int at, String word, String remark) {
        CueView cue = view.cues().get(at);
        reviewing.note(view.id(), cue.id(), cue.keptTake(), cue.cue().text().indexOf(word), remark);
    }

    @Override
    public void destroy() {
        clock.shutdownNow();
    }
}
