package org.logophon.app.steps.direct;

import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.direction.CueSettings;
import org.logophon.app.services.direction.ScoreEdits;
import org.logophon.app.services.direction.ScoreEdits.Setting;
import org.logophon.app.services.direction.ScoreEdits.Snapshot;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.MarkRepository;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.ReadingRepository;
import org.logophon.app.services.project.TakeKeeping;
import org.logophon.app.services.project.review.Happening;
import org.logophon.app.services.project.review.HappeningRepository;
import org.logophon.app.services.project.take.Take;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.take.TakeOrigin;
import org.logophon.core.voice.take.TakenDirection;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * A take gives its direction back: a cue is directed as it was when one of its takes was made. Undone like any change.
 */
@Service
class LikeTakes {

    private final Projects projects;
    private final ProjectRepository table;
    private final TakeKeeping takes;
    private final ReadingRepository readings;
    private final MarkRepository marks;
    private final CueSettings settings;
    private final VoiceCatalogue voices;
    private final ScoreEdits edits;
    private final HappeningRepository happened;

    LikeTakes(
            Projects projects,
            ProjectRepository table,
            TakeKeeping takes,
            ReadingRepository readings,
            MarkRepository marks,
            CueSettings settings,
            VoiceCatalogue voices,
            ScoreEdits edits,
            HappeningRepository happened) {
        this.projects = projects;
        this.table = table;
        this.takes = takes;
        this.readings = readings;
        this.marks = marks;
        this.settings = settings;
        this.voices = voices;
        this.edits = edits;
        this.happened = happened;
    }

    /**
     * Marks, dials, readings, voice and chance as they were; the words stay as they are.
     *
     * @throws Refused with a sentence when the take doesn't know what made it
     */
    @Transactional
    public void like(UUID project, UUID takeId) {
        table.hold(project);
        Take take = takes.require(project, takeId);
        TakeOrigin origin = take.origin();
        TakenDirection taken = TakenDirection.of(take.name(), origin);
        if (taken == null) {
            throw new Refused(
                    origin.voice() == null
                            ? take.name() + " was spoken by a person and has no direction."
                            : take.name() + " is from before takes kept what made them. Its voice is "
                                    + origin.voice().id() + ".");
        }
        CueView cue = projects.cue(project, take.cueId());
        String text = cue.cue().text();
        Direction own = origin.ofCue() == null ? Direction.NONE : origin.ofCue();
        long seed = origin.seed() == null ? 0 : origin.seed();
        String language = RecordedVoice.of(origin.voice().id())
                .flatMap(said -> said.asVoice(voices::find))
                .or(() -> voices.find(origin.voice().id()))
                .or(() -> voices.find(origin.voice().baseId()))
                .map(Voice::language)
                .orElseThrow(() -> new Refused(take.name() + " was spoken by a voice that no longer exists."));
        Marks then = TakenDirection.marks(origin, text, readings.of(project).said(text, language));
        change(project, cue, "like " + take.name(), then.on(text), new Setting(own, taken, seed));
        happened.add(project, cue.id(), Happening.DIRECTED, null, "like " + take.name());
    }

    /** Lets a cue follow its project and its role again. */
    @Transactional
    public void follow(UUID project, UUID cueId) {
        table.hold(project);
        CueView cue = projects.cue(project, cueId);
        if (cue.cue().taken() == null) {
            throw new Refused("This cue follows its role already.");
        }
        Setting now = settings.of(cue.cue());
        change(project, cue, "following the role", cue.marks(), new Setting(now.direction(), null, now.seed()));
    }

    private void change(UUID project, CueView cue, String what, Marks wanted, Setting setting) {
        String text = cue.cue().text();
        edits.add(
                project,
                what,
                Map.of(cue.id(), new Snapshot(text, cue.marks(), settings.of(cue.cue()))),
                Map.of(cue.id(), new Snapshot(text, wanted, setting)));
        marks.save(cue.id(), text, wanted);
        settings.set(cue.id(), setting);
        table.touch(project);
    }
}
