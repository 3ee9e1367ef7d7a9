package org.logophon.app.services.direction;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.BiFunction;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.direction.ScoreEdits.Edit;
import org.logophon.app.services.direction.ScoreEdits.Snapshot;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.MarkRepository;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.Projects;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Changes the marks of cues; every change can be undone, also after a reload. */
@Service
public class MarkService {

    private final Projects projects;
    private final ProjectRepository table;
    private final MarkRepository marks;
    private final ScoreEdits edits;
    private final CueSettings settings;

    MarkService(
            Projects projects, ProjectRepository table, MarkRepository marks, ScoreEdits edits, CueSettings settings) {
        this.projects = projects;
        this.table = table;
        this.marks = marks;
        this.edits = edits;
        this.settings = settings;
    }

    /**
     * Changes the marks of some cues at once.
     *
     * @param what   in words, for undo
     * @param change from the text and marks of a cue to its new marks
     * @return how many cues changed
     */
    @Transactional
    public int change(UUID project, List<CueView> cues, String what, BiFunction<String, Marks, Marks> change) {
        table.hold(project);
        Map<UUID, Marks> stored = marks.of(project);
        Map<UUID, Snapshot> before = new LinkedHashMap<>();
        Map<UUID, Snapshot> after = new LinkedHashMap<>();
        for (CueView cue : cues) {
            String text = cue.cue().text();
            Marks own = stored.getOrDefault(cue.id(), Marks.NONE).within(text);
            Marks now = change.apply(text, own).on(text);
            if (!now.equals(own)) {
                before.put(cue.id(), new Snapshot(text, own));
                after.put(cue.id(), new Snapshot(text, now));
                marks.save(cue.id(), text, now);
            }
        }
        if (!after.isEmpty()) {
            edits.add(project, what, before, after);
            table.touch(project);
        }
        return after.size();
    }

    @Transactional
    public void set(UUID project, UUID cue, Mark mark) {
        CueView view = projects.cue(project, cue);
        if (view.marks().with(mark, view.cue().text()).on(view.cue().text()).all().stream()
                .noneMatch(mark::equals)) {
            throw new Refused("These words aren't in the cue any more. Choose them again.");
        }
        change(project, List.of(view), mark.instruction().id(), (text, own) -> own.with(mark, text));
    }

    @Transactional
    public void remove(UUID project, UUID cue, int start, int end, String kind) {
        change(
                project,
                List.of(projects.cue(project, cue)),
                "no " + kind,
                (text, own) -> new Marks(own.all().stream()
                        .filter(mark -> !(mark.start() == start
                                && mark.end() == end
                                && mark.instruction().id().equals(kind)))
                        .toList()));
    }

    /** @throws Refused when nothing is left to undo */
    @Transactional
    public Turned undo(UUID project) {
        table.hold(project);
        Edit edit = edits.toUndo(project).orElseThrow(() -> new Refused("There is nothing to undo in the scores."));
        put(project, edit.before());
        edits.setUndone(project, edit.ordinal(), true);
        return Turned.of(edit);
    }

    @Transactional
    public Turned redo(UUID project) {
        table.hold(project);
        Edit edit = edits.toRedo(project).orElseThrow(() -> new Refused("There is nothing to redo in the scores."));
        put(project, edit.after());
        edits.setUndone(project, edit.ordinal(), false);
        return Turned.of(edit);
    }

    /** A change that was taken back or done again. @param dials true when it was one of more than marks */
    public record Turned(String what, boolean dials) {

        static Turned of(Edit edit) {
            return new Turned(
                    edit.what(), edit.after().values().stream().anyMatch(snapshot -> snapshot.setting() != null));
        }
    }

    /** Marks as they were; where the words have changed since, they go with them. */
    private void put(UUID project, Map<UUID, Snapshot> snapshots) {
        for (CueView cue : projects.view(project).cues()) {
            Snapshot snapshot = snapshots.get(cue.id());
            if (snapshot != null) {
                marks.save(
                        cue.id(),
                        cue.cue().text(),
                        snapshot.marks()
                                .moved(snapshot.text(), cue.cue().text())
                                .marks());
                if (snapshot.setting() != null) {
                    settings.set(cue.id(), snapshot.setting());
                }
            }
        }
        table.touch(project);
    }

    /** Another chance for a cue whose role is lively: its next render differs. */
    @Transactional
    public void onceMore(UUID project, UUID cue) {
        CueView view = projects.cue(project, cue);
        if (view.role() == null || view.role().livelyPercent() == 0) {
            throw new Refused("Every render of this cue is the same. Set the liveliness of "
                    + view.cue().role() + " above 0 % to get another one.");
        }
        marks.reseed(cue);
    }
}
