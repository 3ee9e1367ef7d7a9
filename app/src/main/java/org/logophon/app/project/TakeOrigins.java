package org.logophon.app.project;

import org.logophon.core.render.Recipe;
import org.logophon.core.take.TakeOrigin;
import org.logophon.core.take.TakeOrigin.MarkThen;
import org.logophon.core.take.TakeOrigin.VoiceThen;

/** What makes a take of a cue as it is now. */
public final class TakeOrigins {

    private TakeOrigins() {}

    /** @param cue with a recipe */
    public static TakeOrigin of(Project project, CueView cue) {
        Recipe recipe = cue.recipe();
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
                project.direction(),
                cue.role().direction(),
                cue.cue().direction(),
                cue.role().pauseDefaults(),
                cue.role().livelyPercent(),
                recipe.score().seed(),
                cue.marks().all().stream().map(MarkThen::of).toList(),
                recipe.said(),
                recipe.paceFactor(),
                recipe.semitones(),
                recipe.style() + (both ? ", " : "") + treatment);
    }
}
