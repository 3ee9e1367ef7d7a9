package org.logophon.app.demo;

import java.util.List;
import java.util.UUID;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.project.take.TakeWords;
import org.logophon.app.steps.record.Recasting;
import org.logophon.app.steps.record.Recordings;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * The visitor's line as a recording: one of our voices is the person, which its name says; the visitor says it like
 * that.
 */
@Component
@ConditionalOnProperty(name = "logophon.demo", havingValue = "true")
class DemoRecording {

    private static final String PERSON = "marnie";
    private static final String ROLE = "Visitor";

    private final VoiceCatalogue voices;
    private final Narrator narrator;
    private final Resampler resampler;
    private final Recordings recordings;
    private final Recasting recasting;
    private final TakeRepository takes;

    DemoRecording(
            VoiceCatalogue voices,
            Narrator narrator,
            Resampler resampler,
            Recordings recordings,
            Recasting recasting,
            TakeRepository takes) {
        this.voices = voices;
        this.narrator = narrator;
        this.resampler = resampler;
        this.recordings = recordings;
        this.recasting = recasting;
        this.takes = takes;
    }

    void say(ProjectView view) {
        CueView line = view.cues().stream()
                .filter(cue -> cue.cue().role().equals(ROLE) && cue.voice() != null)
                .findFirst()
                .orElseThrow();
        Voice person = voices.find(PERSON).orElseThrow();
        Sound said = narrator.render(
                        Recipe.of(line.cue().text(), person, narrator.engineVersion(person), ResolvedDirection.NEUTRAL))
                .sound();
        UUID take = recordings.take(
                view.id(), line.id(), resampler.resample(said, 48_000), Recordings.RecordingOrigin.RECORDED, true);
        takes.describe(
                take,
                new TakeWords(
                        "A stand-in for a person",
                        false,
                        "Made by the voice " + person.name() + ", as if somebody had recorded it.",
                        List.of()));
        recasting.recast(view.id(), take, line.voice().id(), 100, 100, true);
    }
}
