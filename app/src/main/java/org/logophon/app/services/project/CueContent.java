package org.logophon.app.services.project;

import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Recipe;

/**
 * A cue with all that follows from its words, its role and its project, whatever became of it.
 *
 * @param voice      null when its role has none
 * @param marks      on its words
 * @param recipe     null when it has no voice
 * @param recipeHash of the recipe; null without one
 * @param problem    why it can't be rendered, as a sentence; null when it can
 * @param referenceSeconds what an average voice takes for what is said; 0 when nothing can be
 */
record CueContent(
        Cue cue,
        Role role,
        Voice voice,
        ResolvedDirection direction,
        Marks marks,
        Recipe recipe,
        String recipeHash,
        String problem,
        double referenceSeconds) {}
