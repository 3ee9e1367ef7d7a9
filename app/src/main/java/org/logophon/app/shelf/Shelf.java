package org.logophon.app.shelf;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.logophon.app.page.Ago;
import org.logophon.app.page.Durations;
import org.logophon.app.project.CueState;
import org.logophon.app.project.Project;
import org.logophon.app.project.ProjectSummaries;
import org.logophon.app.project.ProjectSummary;
import org.logophon.app.web.Refused;
import org.springframework.stereotype.Service;

/** The list of projects. */
@Service
class Shelf {

    private final ProjectSummaries summaries;
    private final Clock clock;

    Shelf(ProjectSummaries summaries, Clock clock) {
        this.summaries = summaries;
        this.clock = clock;
    }

    /** One project as the shelf shows it. */
    record ShelfEntry(
            UUID id, String name, String runs, String target, int cues, CueState look, String state, String changed) {}

    List<ShelfEntry> lines() {
        return summaries.all().stream().map(this::line).toList();
    }

    private ShelfEntry line(ProjectSummary project) {
        CueState look = look(project);
        String state = switch (look) {
            case NEW -> "empty";
            case RENDERING -> project.rendering() + " rendering";
            case PROBLEM -> project.unfit() + " to look at";
            case CHANGED -> project.toRender() + " to render";
            case READY -> "ready";
        };
        return new ShelfEntry(
                project.id(),
                project.name(),
                Durations.clock(project.length().seconds()),
                project.targetSeconds() == null ? "" : Durations.clock(project.targetSeconds()),
                project.cues(),
                look,
                state,
                Ago.of(project.changedAt(), clock.instant()));
    }

    /** The state that the whole is in: that of the cues that matter most now. */
    private static CueState look(ProjectSummary project) {
        if (project.cues() == 0) {
            return CueState.NEW;
        }
        if (project.rendering() > 0) {
            return CueState.RENDERING;
        }
        if (project.unfit() > 0) {
            return CueState.PROBLEM;
        }
        return project.toRender() > 0 ? CueState.CHANGED : CueState.READY;
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
