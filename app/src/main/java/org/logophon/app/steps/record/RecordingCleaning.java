package org.logophon.app.steps.record;

import java.io.IOException;
import java.util.UUID;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.RoleRepository;
import org.logophon.app.services.project.TakeKeeping;
import org.logophon.app.services.project.take.RecordingRepository;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.Take;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.time.coding.CodingFailed;
import org.logophon.core.voice.recording.Cleaning;
import org.logophon.core.voice.recording.SoundCleaner;
import org.springframework.stereotype.Service;

/** Cleaned recordings: takes of their own, made from the recording as it was said. */
@Service
class RecordingCleaning {

    private final Projects projects;
    private final RoleRepository roles;
    private final TakeKeeping takes;
    private final RecordingRepository recordings;
    private final SpeechRepository speeches;
    private final AudioStore audio;
    private final SoundCleaner cleaner;
    private final Recordings made;

    RecordingCleaning(
            Projects projects,
            RoleRepository roles,
            TakeKeeping takes,
            RecordingRepository recordings,
            SpeechRepository speeches,
            AudioStore audio,
            SoundCleaner cleaner,
            Recordings made) {
        this.projects = projects;
        this.roles = roles;
        this.takes = takes;
        this.recordings = recordings;
        this.speeches = speeches;
        this.audio = audio;
        this.cleaner = cleaner;
        this.made = made;
    }

    /** A cleaned one is cleaned anew from what it was made of: twice is as good as once. @return the take */
    UUID clean(UUID project, UUID takeId, Cleaning cleaning) throws IOException {
        if (cleaning.nothing()) {
            throw new Refused("Tick what to clean.");
        }
        Take take = takes.require(project, takeId);
        RecordingRepository.Told told = recordings
                .find(take.speech())
                .orElseThrow(() -> new Refused(take.name() + " isn't a recording, so there is nothing to clean."));
        UUID from = told.cleanedFrom() == null ? take.speech() : told.cleanedFrom();
        Sound sound = audio.source(speeches.find(from)
                        .orElseThrow(
                                () -> new Refused("What " + take.name() + " was cleaned from isn't there any more."))
                        .sound())
                .inMemory();
        Sound clean;
        try {
            clean = cleaner.clean(sound, cleaning);
        } catch (CodingFailed failed) {
            throw new Refused(failed.getMessage());
        }
        UUID cleaned = made.take(
                project, take.cueId(), clean, new Recordings.RecordingOrigin(take.source(), from, cleaning), true);
        CueView cue = projects.cue(project, take.cueId());
        if (cue.role() != null) {
            roles.cleaned(project, cue.role().name(), cleaning);
        }
        return cleaned;
    }
}
