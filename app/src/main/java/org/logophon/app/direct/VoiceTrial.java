package org.logophon.app.direct;

import java.util.UUID;
import org.logophon.app.project.CueView;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.Projects;
import org.logophon.app.project.Role;
import org.logophon.app.rendering.TakeSound;
import org.logophon.app.web.NotFound;
import org.logophon.app.web.Refused;
import org.logophon.direction.Effective;
import org.logophon.finish.Finishing;
import org.logophon.render.Narrator;
import org.logophon.render.Recipe;
import org.logophon.render.Speech;
import org.logophon.script.ScriptCue;
import org.logophon.voice.Voice;
import org.logophon.voice.VoiceCatalogue;
import org.springframework.stereotype.Component;

/** A voice says a role's own first line, with the role's direction, before it is cast. Nothing is stored. */
@Component
class VoiceTrial {

    private final Projects projects;
    private final VoiceCatalogue voices;
    private final Narrator narrator;
    private final Finishing finishing;
    private final TakeSound sound;

    VoiceTrial(Projects projects, VoiceCatalogue voices, Narrator narrator, Finishing finishing, TakeSound sound) {
        this.projects = projects;
        this.voices = voices;
        this.narrator = narrator;
        this.finishing = finishing;
        this.sound = sound;
    }

    /** WAV. @throws Refused with a sentence when there is nothing to try it on */
    byte[] wav(UUID project, Role role, String voiceId) {
        Voice voice = voices.find(voiceId).orElseThrow(() -> new NotFound("There is no voice " + voiceId + "."));
        ProjectView view = projects.view(project);
        CueView line = view.cues().stream()
                .filter(cue -> cue.cue().role().equalsIgnoreCase(role.name()) && ScriptCue.problem(cue.cue().text()) == null)
                .findFirst().orElseThrow(() -> new Refused(role.name() + " has no line to try a voice on."));
        Effective direction = Effective.of(view.project().direction(), role.direction());
        Speech speech = narrator.render(Recipe.of(line.cue().text(), voice, narrator.engineVersion(voice), direction));
        return sound.wav(finishing.finish(speech, view.project().finish().atRate(speech.sound().rate()), direction.loudnessDb()));
    }
}
