package org.logophon.app.shelf;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.logophon.app.page.Ago;
import org.logophon.app.page.Durations;
import org.logophon.app.project.CueState;
import org.logophon.app.project.Project;
import org.logophon.app.project.ProjectRepository;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.Projects;
import org.logophon.app.web.Refused;
import org.springframework.stereotype.Service;

/** The list of projects. */
@Service
class Shelf {

    private final ProjectRepository table;
    private final Projects projects;
    private final Clock clock;

    Shelf(ProjectRepository table, Projects projects, Clock clock) {
        this.table = table;
        this.projects = projects;
        this.clock = clock;
    }

    /** One project as the shelf shows it. */
    record ShelfEntry(
            UUID id, String name, String runs, String target, int cues, String state, String style, String changed) {}

    List<ShelfEntry> lines() {
        return table.all().stream().map(project -> line(projects.view(project))).toList();
    }

    private ShelfEntry line(ProjectView view) {
        Project project = view.project();
        long toRender = view.toRender();
        long rendering = view.count(CueState.RENDERING);
        String state;
        CueState look;
        if (view.cues().isEmpty()) {
            state = "empty";
            look = CueState.NEW;
        } else if (rendering > 0) {
            state = rendering + " rendering";
            look = CueState.RENDERING;
        } else if (view.unfit() > 0) {
            state = view.unfit() + " to look at";
            look = CueState.PROBLEM;
        } else if (toRender > 0) {
            state = toRender + " to render";
            look = CueState.CHANGED;
        } else {
            state = "ready";
            look = CueState.READY;
        }
        return new ShelfEntry(
                project.id(),
                project.name(),
                Durations.clock(view.seconds()),
                project.targetSeconds() == null ? "" : Durations.clock(project.targetSeconds()),
                view.cues().size(),
                state,
                look.style(),
                Ago.of(project.changedAt(), clock.instant()));
    }

    /** @throws Refused with a sentence when a name can't be one */
    static String checkedName(String name) {
        String plain = name.strip().replaceAll("\\p{Cntrl}", " ").replaceAll("\\s+", " ");
        if (plain.isEmpty()) {
            throw new Refused("A project needs a name. Type one.");
        }
        if (plain.length() > Project.LONGEST_NAME) {
            throw new Refused("A project's name has " + Project.LONGEST_NAME + " characters at most, and this one has "
                    + plain.length() + ".");
        }
        return plain;
    }
}
