package org.logophon.app.steps.shelf;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.logophon.app.platform.people.Visits;
import org.logophon.app.services.page.Ago;
import org.logophon.app.services.page.Durations;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.ProjectSummaries;
import org.logophon.app.services.project.ProjectSummary;
import org.logophon.app.services.project.ProjectUpkeep;
import org.springframework.stereotype.Service;

/** The list of projects. */
@Service
class Shelf {

    private static final int PAGE = 40;
    private static final int FEW = 12;

    private final ProjectSummaries summaries;
    private final ProjectRepository table;
    private final Visits visits;
    private final Clock clock;

    Shelf(ProjectSummaries summaries, ProjectRepository table, Visits visits, Clock clock) {
        this.summaries = summaries;
        this.table = table;
        this.visits = visits;
        this.clock = clock;
    }

    /** One project as the shelf shows it. */
    record ShelfEntry(
            UUID id,
            String name,
            String runs,
            String target,
            int cues,
            CueState look,
            String state,
            String changed,
            String goes) {}

    /** A deleted project. @param left days in which it can be brought back */
    record DeletedEntry(UUID id, String name, long left) {}

    /**
     * What the list shows.
     *
     * @param find  words that names have to hold; empty for any
     * @param found how many do
     * @param all   of all projects
     */
    record Shown(List<ShelfEntry> lines, String find, int found, int all) {

        public int more() {
            return found - lines.size();
        }

        /** A list that is seen whole needs no field to find something in it. */
        public boolean finds() {
            return all > FEW;
        }
    }

    /** The latest of those whose names hold all of these words, a page of them or every one. */
    Shown shown(String find, boolean every) {
        List<ProjectSummary> all = summaries.of(visits.workspace());
        String typed = find.strip();
        List<String> words = List.of(typed.toLowerCase(Locale.ROOT).split("\\s+"));
        List<ProjectSummary> found = all.stream()
                .filter(project -> words.stream().allMatch(project.name().toLowerCase(Locale.ROOT)::contains))
                .toList();
        return new Shown(
                found.stream()
                        .limit(every ? found.size() : PAGE)
                        .map(this::line)
                        .toList(),
                typed,
                found.size(),
                all.size());
    }

    private ShelfEntry line(ProjectSummary project) {
        CueState look = look(project);
        String state = switch (look) {
            case NEW -> "empty";
            case RENDERING -> project.rendering() + " rendering";
            case PROBLEM -> project.unfit() + " to check";
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
                Ago.of(project.changedAt(), clock.instant()),
                goes(project));
    }

    /** Those that can still be brought back, the latest first. */
    List<DeletedEntry> deleted() {
        return table.deleted(visits.workspace()).stream()
                .map(project -> new DeletedEntry(
                        project.id(),
                        project.name(),
                        Math.max(
                                1,
                                Duration.between(clock.instant(), project.at().plus(ProjectUpkeep.DELETED_KEPT))
                                        .toDays())))
                .toList();
    }

    /** What goes with a project. */
    private static String goes(ProjectSummary project) {
        return "Its script, " + count(project.cues(), "cue") + ", " + count(project.takes(), "take") + " and "
                + (project.deliveries() == 1 ? "1 delivery" : project.deliveries() + " deliveries")
                + " go with it. For " + ProjectUpkeep.DELETED_KEPT.toDays() + " days the shelf can restore it.";
    }

    private static String count(int things, String noun) {
        return things == 1 ? "1 " + noun : things + " " + noun + "s";
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
}
