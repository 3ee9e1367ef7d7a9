package org.logophon.app.services.project;

import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.take.TakeOrigin;
import org.logophon.core.voice.take.TakeOrigin.MarkThen;
import org.logophon.core.voice.take.TakeOrigin.VoiceThen;
import org.logophon.core.voice.take.TakenDirection;

/** The origin that a take of a cue would have now. */
public final class TakeOrigins {

    private TakeOrigins() {}

    /** @param cue with a recipe */
    public static TakeOrigin of(Project project, CueView cue) {
        return of(project, cue, cue.recipe());
    }

    /** @param recipe of the cue, with a chance of its own */
    public static TakeOrigin of(Project project, CueView cue, Recipe recipe) {
        TakenDirection taken = cue.cue().taken();
        String treatment = recipe.treatment().words();
        boolean both = !recipe.style().isEmpty() && !treatment.isEmpty();
        return new TakeOrigin(
                cue.cue().text(),
                cue.cue().role(),
                new VoiceThen(
                        cue.voice().id(),
                        cue.voice().name(),
                        cue.voice().baseId(),
                        cue.voice().tuning()),
                recipe.engineVersion(),
                taken == null ? project.direction() : taken.project(),
                taken == null ? cue.role().direction() : taken.ofRole(),
                cue.cue().direction(),
                taken == null ? cue.role().pauseDefaults() : taken.pauses(),
                recipe.score().livelyPercent(),
                recipe.score().seed(),
                cue.marks().all().stream().map(MarkThen::of).toList(),
                recipe.said(),
                recipe.paceFactor(),
                recipe.semitones(),
                recipe.style() + (both ? ", " : "") + treatment);
    }
}
