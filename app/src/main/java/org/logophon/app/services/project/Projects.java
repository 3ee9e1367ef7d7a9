package org.logophon.app.services.project;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.project.review.CueReview;
import org.logophon.core.direction.phrasing.PhrasedTime;
import org.logophon.core.text.estimate.Estimate;
import org.logophon.core.text.estimate.TextTime;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Recipe;
import org.springframework.stereotype.Service;

/** The projects with their cues, status and lengths. */
@Service
public class Projects {

    private final ProjectRepository projects;
    private final ProjectContents contents;
    private final CueStatusRepository statuses;
    private final SpeakingRates rates;

    Projects(ProjectRepository projects, ProjectContents contents, CueStatusRepository statuses, SpeakingRates rates) {
        this.projects = projects;
        this.contents = contents;
        this.statuses = statuses;
        this.rates = rates;
    }

    /** @throws NotFound with a sentence when there is none */
    public Project require(UUID id) {
        return projects.find(id)
                .orElseThrow(() -> new NotFound("This project doesn't exist any more. The shelf shows those that do."));
    }

    public ProjectView view(UUID id) {
        return view(require(id));
    }

    public ProjectView view(Project project) {
        return view(project, contents.of(project));
    }

    /** @throws NotFound when the project has no such cue */
    public CueView cue(UUID project, UUID cue) {
        Project owner = require(project);
        CueContent content =
                contents.ofCue(owner, cue).orElseThrow(() -> new NotFound("This cue is no longer in the script."));
        return view(owner, content, statuses.ofCue(cue).orElse(CueStatus.NONE));
    }

    /** The project as it would be with another voice for a role. */
    public ProjectView ifCast(ProjectView now, Role role, Voice voice) {
        List<Role> cast = now.roles().stream()
                .map(other -> other.name().equals(role.name()) ? other.with(voice.id()) : other)
                .toList();
        return view(now.project(), contents.with(now.project(), cast));
    }

    private ProjectView view(Project project, ProjectContent content) {
        Map<UUID, CueStatus> became = statuses.of(project.id());
        return new ProjectView(
                project,
                content.roles(),
                content.cues().stream()
                        .map(cue ->
                                view(project, cue, became.getOrDefault(cue.cue().id(), CueStatus.NONE)))
                        .toList(),
                content.sceneGaps());
    }

    private CueView view(Project project, CueContent content, CueStatus status) {
        boolean current = status.upToDate(content.cue().text(), content.recipeHash());
        // who speaks is no matter of a recording
        boolean recorded = current && content.recipe() == null;
        String problem = recorded ? null : content.problem() != null ? content.problem() : status.failure();
        CueState state = state(content, status, current, problem);
        boolean measured = state == CueState.READY && status.sound() != null;
        SampleCount length = measured ? status.sound().length() : estimate(content);
        return new CueView(
                content.cue(),
                content.role(),
                content.voice(),
                content.direction(),
                content.marks(),
                content.recipe(),
                content.recipeHash(),
                status,
                state,
                problem,
                length,
                measured,
                review(project, content, status));
    }

    private static CueReview review(Project project, CueContent content, CueStatus status) {
        // most cues of most projects were never approved, and cost nothing here
        return CueReview.of(
                status.approved(),
                status.approver(),
                status.approved() == null
                        ? null
                        : CueView.heard(project, content.cue().text(), content.recipe(), status, content.direction()),
                status.openNotes());
    }

    private static CueState state(CueContent content, CueStatus status, boolean current, String problem) {
        if (status.waiting() && content.recipe() != null) {
            return CueState.RENDERING;
        }
        if (current) {
            return CueState.READY;
        }
        if (problem != null) {
            return CueState.PROBLEM;
        }
        return status.keptTake() == null ? CueState.NEW : CueState.CHANGED;
    }

    private SampleCount estimate(CueContent content) {
        if (content.referenceSeconds() == 0) {
            return SampleCount.ZERO;
        }
        Recipe recipe = content.recipe();
        int phrasing = recipe == null ? content.direction().phrasingPercent() : recipe.phrasingPercent();
        TextTime time = phrasing == 0 ? new TextTime(content.referenceSeconds()) : phrased(content);
        double pace = content.direction().paceFactor();
        return SampleCount.nearest(
                recipe != null
                        ? rates.seconds(recipe, time, phrasing)
                        : Estimate.seconds(content.cue().text().length(), time, phrasing, null, pace, pace));
    }

    private static TextTime phrased(CueContent content) {
        return PhrasedTime.of(
                content.cue().text(),
                content.voice() == null ? "" : content.voice().language(),
                content.referenceSeconds());
    }

    static String key(String role) {
        return role.toLowerCase(Locale.ROOT);
    }
}
