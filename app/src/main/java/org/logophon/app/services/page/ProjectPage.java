package org.logophon.app.services.page;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Picture;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.review.CueReview;
import org.logophon.app.services.rendering.RenderService;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.effect.Effect;
import org.logophon.core.time.programme.Placement.InSlot;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/**
 * The model that every page of a project shares: its name and running time, and the path with the one fact of each
 * step.
 */
@Component
public class ProjectPage {

    /** Ranges of what is set by a number, by name. */
    private static final Map<String, Dial> DIALS =
            Arrays.stream(Dial.values()).collect(Collectors.toMap(Dial::name, dial -> dial));

    private final RenderService rendering;

    ProjectPage(RenderService rendering) {
        this.rendering = rendering;
    }

    /**
     * @param fact  what matters now
     * @param amber true when it needs a look
     */
    public record PathStep(Step step, String fact, boolean amber, boolean done, boolean current) {}

    public void fill(Model model, ProjectView view, Step current) {
        model.addAttribute("project", view.project());
        model.addAttribute("pageTitle", view.project().name());
        model.addAttribute("view", view);
        model.addAttribute("step", current);
        model.addAttribute("batch", rendering.latest(view.id()).orElse(null));
        model.addAttribute("path", path(view, current));
        model.addAttribute("effects", Effect.values());
        model.addAttribute("dials", DIALS);
        model.addAttribute("unsaidPause", ResolvedDirection.DEFAULT_PAUSE_MILLIS);
        Integer phrasing = view.project().direction().phrasingPercent();
        model.addAttribute("unsaidPhrasing", phrasing == null ? 0 : phrasing);
        model.addAttribute("runs", Durations.clock(view.seconds()));
        model.addAttribute(
                "target",
                view.project().targetSeconds() == null
                        ? null
                        : Durations.clock(view.project().targetSeconds()));
    }

    static List<PathStep> path(ProjectView view, Step current) {
        List<PathStep> path = new ArrayList<>();
        int cues = view.cues().size();
        long toRender = view.toRender();
        long ready = view.count(CueState.READY);
        long unfit = view.unfit();
        path.add(new PathStep(
                Step.WRITE,
                cues == 0 ? "nothing written" : count(cues, "cue"),
                false,
                cues > 0,
                current == Step.WRITE));
        long silent = view.cues().stream()
                .filter(cue -> cue.voice() == null)
                .map(cue -> cue.cue().role())
                .distinct()
                .count();
        long roles =
                view.cues().stream().map(cue -> cue.cue().role()).distinct().count();
        path.add(new PathStep(
                Step.CAST,
                cues == 0
                        ? "no roles yet"
                        : silent > 0 ? count(silent, "role") + " without a voice" : count(roles, "role"),
                silent > 0,
                cues > 0 && silent == 0,
                current == Step.CAST));
        boolean direct = toRender > 0 || unfit > 0;
        String fact = unfit > 0
                ? count(unfit, "cue") + " to check"
                : toRender > 0
                        ? count(toRender, "cue") + " to render"
                        : cues == 0
                                ? "no cues yet"
                                : ready < cues ? ready + " of " + cues + " ready" : "all " + cues + " ready";
        path.add(new PathStep(Step.DIRECT, fact, direct, cues > 0 && ready == cues, current == Step.DIRECT));
        path.add(listen(view, current));
        path.add(place(view, current));
        path.add(new PathStep(Step.DELIVER, ready + " of " + cues + " ready", false, false, current == Step.DELIVER));
        return path;
    }

    /** Who never approves anything is asked for nothing. */
    private static PathStep listen(ProjectView view, Step current) {
        int cues = view.cues().size();
        long approved =
                view.cues().stream().filter(cue -> cue.review().approved()).count();
        long noted =
                view.cues().stream().filter(cue -> cue.review().openNotes() > 0).count();
        long changed = view.cues().stream()
                .filter(cue -> cue.review().state() == CueReview.State.CHANGED)
                .count();
        boolean done = cues > 0 && approved == cues && noted == 0;
        String fact = noted > 0
                ? count(noted, "cue") + " with notes"
                : changed > 0
                        ? count(changed, "cue") + " changed"
                        : approved > 0
                                ? approved + " of " + cues + " approved"
                                : cues == 0 ? "nothing to hear yet" : "not heard yet";
        return new PathStep(Step.LISTEN, fact, noted > 0 || changed > 0, done, current == Step.LISTEN);
    }

    private static PathStep place(ProjectView view, Step current) {
        Picture picture = view.project().picture();
        long slots =
                view.cues().stream().filter(cue -> slot(cue, picture) != null).count();
        long over = view.programme().clips().stream()
                .filter(clip -> slot(clip.cue(), picture) != null
                        && clip.end().compareTo(slot(clip.cue(), picture).out()) > 0)
                .count();
        String fact = view.cues().isEmpty()
                ? "nothing to place yet"
                : over > 0
                        ? over + (over == 1 ? " runs over" : " run over")
                        : slots > 0
                                ? "all in their slots"
                                : picture.rate() == null
                                        ? "no picture"
                                        : picture.rate().id() + " a second";
        return new PathStep(Step.PLACE, fact, over > 0, slots > 0 && over == 0, current == Step.PLACE);
    }

    private static InSlot slot(CueView cue, Picture picture) {
        return cue.cue().place().placement(cue.cue().slot(), picture) instanceof InSlot slot ? slot : null;
    }

    private static String count(long count, String noun) {
        return count == 1 ? "1 " + noun : count + " " + noun + "s";
    }
}
