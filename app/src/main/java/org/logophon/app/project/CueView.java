package org.logophon.app.project;

import java.util.UUID;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.mark.Marks;
import org.logophon.core.render.Recipe;
import org.logophon.core.voice.Voice;

/**
 * A cue with all that follows from its project and role.
 *
 * @param voice   null when its role has none
 * @param marks   on its words
 * @param recipe  null when it has no voice
 * @param problem why it can't be rendered or failed to be, as a sentence; null when nothing is wrong
 * @param seconds of its kept take, or estimated
 * @param measured true when {@code seconds} is measured on a take
 */
public record CueView(
        Cue cue,
        Role role,
        Voice voice,
        ResolvedDirection direction,
        Marks marks,
        Recipe recipe,
        CueState state,
        String problem,
        double seconds,
        boolean measured) {

    public UUID id() {
        return cue.id();
    }

    public String number() {
        return cue.number();
    }

    /** True when a render would make something new. */
    public boolean wantsRender() {
        return recipe != null
                && (state == CueState.CHANGED || state == CueState.NEW || state == CueState.PROBLEM)
                && org.logophon.core.script.ScriptCue.problem(cue.text()) == null;
    }
}
