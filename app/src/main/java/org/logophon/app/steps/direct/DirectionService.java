package org.logophon.app.steps.direct;

import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.Stale;
import org.logophon.app.services.project.CueRepository;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.StoredSpeech;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.rendering.ProgrammeReader;
import org.logophon.app.services.rendering.TakeSound;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.Direction;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.finish.Clip;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The service that shows and sets direction. */
@Service
class DirectionService {

    private final Projects projects;
    private final ProjectRepository table;
    private final CueRepository cues;
    private final TakeRepository takes;
    private final SpeechRepository speeches;
    private final TakeSound sound;
    private final VoiceCatalogue voices;

    DirectionService(
            Projects projects,
            ProjectRepository table,
            CueRepository cues,
            TakeRepository takes,
            SpeechRepository speeches,
            TakeSound sound,
            VoiceCatalogue voices) {
        this.projects = projects;
        this.table = table;
        this.cues = cues;
        this.takes = takes;
        this.speeches = speeches;
        this.sound = sound;
        this.voices = voices;
    }

    /** The cue with that id, or the first; null when the project has none. */
    DirectPageModel stage(ProjectView view, UUID wanted) {
        if (view.cues().isEmpty()) {
            return null;
        }
        int at = 0;
        for (int i = 0; i < view.cues().size(); i++) {
            at = view.cues().get(i).id().equals(wanted) ? i : at;
        }
        CueView cue = view.cues().get(at);
        List<Take> all = takes.of(cue.id());
        Take kept = all.stream()
                .filter(take -> take.id().equals(cue.keptTake()))
                .findFirst()
                .orElse(null);
        List<DirectPageModel.AskedLine> asked = List.of();
        List<String> notes = List.of();
        if (kept != null) {
            StoredSpeech speech = speeches.find(kept.speech()).orElseThrow();
            Clip clip = sound.of(kept.sound(), view.project(), cue);
            asked = DirectPageModel.asked(
                    view.project(), cue, kept, speech, clip.loudness().lufs(), clip.truePeakDbtp());
            notes = DirectPageModel.notes(cue, kept, speech);
        }
        List<DirectPageModel.TakeLine> lines = all.stream()
                .map(take -> DirectPageModel.line(take, cue, voiceOf(take)))
                .toList();
        return new DirectPageModel(
                cue,
                kept,
                lines,
                asked,
                notes,
                at > 0 ? view.cues().get(at - 1).id() : null,
                at + 1 < view.cues().size() ? view.cues().get(at + 1).id() : null,
                ProgrammeReader.address(view.project(), cue));
    }

    private String voiceOf(Take take) {
        if (take.origin().voice() == null) {
            return take.source().id();
        }
        String then = take.origin().voice().name();
        return voices.find(take.origin().voice().id()).map(Voice::name).orElse(then == null ? "a missing voice" : then);
    }

    @Transactional
    void directCue(UUID project, UUID cue, Direction direction, int version) {
        table.hold(project);
        projects.cue(project, cue);
        if (!cues.direct(cue, direction, version)) {
            throw new Stale(Stale.DIRECTION);
        }
        table.touch(project);
    }

    @Transactional
    void phrase(UUID project, int version) {
        Direction now = projects.require(project).direction();
        directProject(project, now.phrased(Dial.PHRASING.neutral()), version);
    }

    @Transactional
    void directProject(UUID project, Direction direction, int version) {
        projects.require(project);
        if (!table.direct(project, direction, version)) {
            throw new Stale(Stale.DIRECTION);
        }
    }
}
