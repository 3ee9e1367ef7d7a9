package org.logophon.app.steps.direct;

import java.util.List;
import java.util.UUID;
import java.util.function.BiFunction;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.direction.MarkService;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Projects;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.review.suggest.Suggestions;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Suggestions for a cue, its scene or the whole script: proposed, taken all or one by one, and cleared. */
@RestController
@RequestMapping("/projects/{id}/cues/{cue}/suggest")
class SuggestController {

    private final Projects projects;
    private final MarkService scoring;

    SuggestController(Projects projects, MarkService scoring) {
        this.projects = projects;
        this.scoring = scoring;
    }

    /** The reach of suggestions. */
    enum Scope {
        CUE,
        SCENE,
        ALL
    }

    @PostMapping
    SentenceAnswer suggest(
            @PathVariable UUID id, @PathVariable UUID cue, @RequestParam(defaultValue = "CUE") Scope scope) {
        int changed = change(id, cue, scope, "suggestions", suggested(id, cue));
        return new SentenceAnswer(
                changed == 0
                        ? "Nothing to suggest."
                        : "Suggested in " + cues(changed) + ". Dashed marks have no effect until you accept them.");
    }

    /** Suggests and accepts in one step, which one undo takes back. */
    @PostMapping("/improve")
    SentenceAnswer improve(
            @PathVariable UUID id, @PathVariable UUID cue, @RequestParam(defaultValue = "CUE") Scope scope) {
        BiFunction<String, Marks, Marks> suggested = suggested(id, cue);
        int changed = change(
                id,
                cue,
                scope,
                "improving",
                (text, own) -> new Marks(suggested.apply(text, own).all().stream()
                        .map(mark -> mark.heard() ? mark : mark.with(Mark.Origin.TAKEN))
                        .toList()));
        return new SentenceAnswer(
                changed == 0
                        ? "Nothing to improve: what rules can say of it is said."
                        : "Improved " + cues(changed) + ". Ctrl Z takes it back.");
    }

    /** Where a cue is phrased, only what its phrasing doesn't do. */
    private BiFunction<String, Marks, Marks> suggested(UUID id, UUID cue) {
        String language = projects.require(id).language();
        boolean phrased = PhrasedCue.percent(projects.cue(id, cue)) > 0;
        return (text, own) ->
                phrased ? Suggestions.besidePhrasing(text, language, own) : Suggestions.of(text, language, own);
    }

    /** @param start of one suggestion; −1 for all of them */
    @PostMapping("/take")
    SentenceAnswer take(
            @PathVariable UUID id,
            @PathVariable UUID cue,
            @RequestParam(defaultValue = "CUE") Scope scope,
            @RequestParam(defaultValue = "-1") int start,
            @RequestParam(defaultValue = "-1") int end,
            @RequestParam(defaultValue = "") String kind) {
        int changed = change(
                id,
                cue,
                scope,
                "accepting suggestions",
                (text, own) -> new Marks(own.all().stream()
                        .map(mark -> {
                            boolean meant = start < 0
                                    || mark.start() == start
                                            && mark.end() == end
                                            && mark.instruction().id().equals(kind);
                            return mark.heard() || !meant ? mark : mark.with(Mark.Origin.TAKEN);
                        })
                        .toList()));
        return new SentenceAnswer(
                changed == 0 ? "There are no suggestions to accept." : "Accepted in " + cues(changed) + ".");
    }

    /** Takes away what was suggested, taken or not; the user's own marks stay. */
    @PostMapping("/clear")
    SentenceAnswer clear(
            @PathVariable UUID id, @PathVariable UUID cue, @RequestParam(defaultValue = "CUE") Scope scope) {
        int changed = change(
                id,
                cue,
                scope,
                "clearing suggestions",
                (text, own) -> new Marks(own.all().stream()
                        .filter(mark -> mark.origin() == Mark.Origin.OWN)
                        .toList()));
        return new SentenceAnswer(
                changed == 0 ? "There are no suggestions." : "Suggestions cleared in " + cues(changed) + ".");
    }

    private int change(UUID id, UUID cue, Scope scope, String what, BiFunction<String, Marks, Marks> change) {
        CueView chosen = projects.cue(id, cue);
        List<CueView> cues = scope == Scope.CUE
                ? List.of(chosen)
                : projects.view(id).cues().stream()
                        .filter(other -> scope == Scope.ALL
                                || other.cue().scene().equals(chosen.cue().scene()))
                        .toList();
        return scoring.change(id, cues, what, change);
    }

    private static String cues(int count) {
        return count == 1 ? "1 cue" : count + " cues";
    }
}
