package org.logophon.app.services.project;

import java.util.UUID;
import org.logophon.app.services.project.review.CueReview;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.review.ApprovalState;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Recipe;

/**
 * A cue with all that follows from its project and role, and what became of it.
 *
 * @param voice      null when its role has none
 * @param marks      on its words
 * @param recipe     null when it has no voice
 * @param recipeHash of the recipe; null without one
 * @param problem    why it can't be rendered or failed to be, as a sentence; null when nothing is wrong
 * @param length     of its kept take while that is what the cue asks for, else estimated
 * @param measured   true when {@code length} is measured on a take
 */
public record CueView(
        Cue cue,
        Role role,
        Voice voice,
        ResolvedDirection direction,
        Marks marks,
        Recipe recipe,
        String recipeHash,
        CueStatus status,
        CueState state,
        String problem,
        SampleCount length,
        boolean measured,
        CueReview review) {

    public UUID id() {
        return cue.id();
    }

    public String number() {
        return cue.number();
    }

    public double seconds() {
        return length.seconds();
    }

    /**
     * Silence after it, before the next cue: its own, else its role's, else the scene's at a scene's end, else the
     * project's. A sound that stands in it makes it longer where need be.
     *
     * @param ofScene at the end of which it is; null where it isn't at one, or the scene says nothing
     */
    public SampleCount gap(Integer ofScene) {
        boolean said = cue.direction().pauseAfterMillis() != null
                || cue.taken() != null && !cue.taken().recorded()
                || role != null && role.direction().pauseAfterMillis() != null;
        int asked = ofScene != null && !said ? ofScene : direction.pauseMillis();
        return SampleCount.ofMillis(Math.max(asked, marks.gapAfter(cue.text())));
    }

    /** The take that is delivered; null when there is none. */
    public UUID keptTake() {
        return status.keptTake();
    }

    /** The state in which it is heard now. @param project its own */
    public ApprovalState heard(Project project) {
        return heard(project, cue.text(), recipe, status, direction);
    }

    static ApprovalState heard(
            Project project, String text, Recipe recipe, CueStatus status, ResolvedDirection direction) {
        String take = status.keptTake() == null ? "" : status.keptTake().toString();
        return ApprovalState.of(text, recipe, take, project.targetLufs(), direction.loudnessDb());
    }

    /** True when the kept take is what a render would make now. */
    public boolean madeAsAsked() {
        return recipeHash != null && recipeHash.equals(status.takeRecipe());
    }

    /** True when a render would make something new. */
    public boolean wantsRender() {
        return recipe != null
                && (state == CueState.CHANGED || state == CueState.NEW || state == CueState.PROBLEM)
                && ScriptCue.problem(cue.text()) == null;
    }
}
