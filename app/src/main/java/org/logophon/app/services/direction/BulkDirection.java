package org.logophon.app.services.direction;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.services.direction.ScoreEdits.Setting;
import org.logophon.app.services.direction.ScoreEdits.Snapshot;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.MarkRepository;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.Projects;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Marks;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Another direction for some cues at once, dials and marks, as one change that undo takes back. */
@Service
public class BulkDirection {

    private final Projects projects;
    private final ProjectRepository table;
    private final MarkRepository marks;
    private final CueSettings settings;
    private final ScoreEdits edits;

    BulkDirection(
            Projects projects, ProjectRepository table, MarkRepository marks, CueSettings settings, ScoreEdits edits) {
        this.projects = projects;
        this.table = table;
        this.marks = marks;
        this.settings = settings;
        this.edits = edits;
    }

    /** A cue with its new direction. */
    public record Redirected(Marks marks, Direction direction) {}

    /** @param what in words, for undo */
    @Transactional
    public void redirect(UUID project, String what, Map<UUID, Redirected> cues) {
        table.hold(project);
        Map<UUID, Snapshot> before = new HashMap<>();
        Map<UUID, Snapshot> after = new HashMap<>();
        cues.forEach((id, wanted) -> {
            CueView cue = projects.cue(project, id);
            String text = cue.cue().text();
            Setting now = settings.of(cue.cue());
            Setting then = new Setting(wanted.direction(), now.taken(), now.seed());
            before.put(id, new Snapshot(text, cue.marks(), now));
            after.put(id, new Snapshot(text, wanted.marks(), then));
            marks.save(id, text, wanted.marks());
            settings.set(id, then);
        });
        edits.add(project, what, before, after);
        table.touch(project);
    }
}
