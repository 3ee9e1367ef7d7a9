package org.logophon.app.steps.record;

import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.CueRepository;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.TakeKeeping;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.rendering.RenderService;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.take.TakeOrigin.VoiceThen;
import org.logophon.core.voice.take.TakenDirection;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Says who says a recorded cue: the recording, another voice in its way, or the role's voice again. */
@Service
public class Recasting {

    private final Projects projects;
    private final ProjectRepository table;
    private final CueRepository cues;
    private final TakeKeeping takes;
    private final VoiceCatalogue voices;
    private final RenderService rendering;

    Recasting(
            Projects projects,
            ProjectRepository table,
            CueRepository cues,
            TakeKeeping takes,
            VoiceCatalogue voices,
            RenderService rendering) {
        this.projects = projects;
        this.table = table;
        this.cues = cues;
        this.takes = takes;
        this.voices = voices;
        this.rendering = rendering;
    }

    /** @return what is done, for people @throws Refused with a sentence when it can't be */
    @Transactional
    public String recast(UUID project, UUID takeId, String voiceId, int timing, int melody, boolean ownPitch) {
        table.hold(project);
        Take take = takes.require(project, takeId);
        RecordedVoice recorded = RecordedVoice.of(
                        take.origin().voice() == null
                                ? null
                                : take.origin().voice().id())
                .orElseThrow(() -> new Refused(
                        take.name() + " was made by a voice: there is no recording in it that another could follow."));
        RecordedVoice wanted = recorded.by(voiceId, timing, melody, ownPitch);
        Voice voice = wanted.asVoice(voices::find)
                .orElseThrow(() ->
                        new Refused("This voice isn't here any more, whispers, or costs something. Choose another."));
        CueView cue = projects.cue(project, take.cueId());
        if (!take.text().equals(cue.cue().text())) {
            throw new Refused("The words have changed since " + take.name() + " was recorded. Record it again.");
        }
        cues.direct(
                cue.id(),
                cue.cue().direction(),
                TakenDirection.recorded(
                        take.name(), new VoiceThen(voice.id(), voice.name(), voice.id(), voice.tuning())));
        table.touch(project);
        rendering.renderCue(project, cue.id(), 0);
        return voice.name() + ": in progress.";
    }

    @Transactional
    public String byVoice(UUID project, UUID cueId) {
        table.hold(project);
        CueView cue = projects.cue(project, cueId);
        if (cue.cue().taken() == null || !cue.cue().taken().recorded()) {
            throw new Refused("This cue has no recording.");
        }
        cues.direct(cueId, cue.cue().direction(), null);
        table.touch(project);
        return "The voice’s take is kept; the recording stays among the takes.";
    }
}
