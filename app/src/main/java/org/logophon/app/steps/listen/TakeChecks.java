package org.logophon.app.steps.listen;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.locks.ReentrantLock;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.platform.disk.DiskRoom;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.take.RecordingRepository;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.rendering.ProgrammeReader;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.check.TakeCheck;
import org.logophon.core.voice.check.TakeFinding;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.take.TakeOrigin;
import org.springframework.stereotype.Service;

/** Checks kept takes by measuring them, each once. */
@Service
class TakeChecks {

    /** A request works so long at the most; the page asks again until all is checked. */
    private static final long AT_ONCE_NANOS = 2_500_000_000L;
    /** Longer takes would hold too much memory at once. */
    private static final double LONGEST_SECONDS = 300;

    private final Projects projects;
    private final TakeRepository takes;
    private final CheckRepository checks;
    private final DiskRoom room;
    private final RecordingRepository recordings;
    private final AudioStore audio;
    private final VoiceCatalogue voices;
    private final SpeechEngine engines;
    private final ReentrantLock oneAtATime = new ReentrantLock();

    TakeChecks(
            Projects projects,
            TakeRepository takes,
            CheckRepository checks,
            DiskRoom room,
            RecordingRepository recordings,
            AudioStore audio,
            VoiceCatalogue voices,
            SpeechEngine natives) {
        this.projects = projects;
        this.takes = takes;
        this.checks = checks;
        this.room = room;
        this.recordings = recordings;
        this.audio = audio;
        this.voices = voices;
        // voices of the house alone: a check never asks a service, nor a program of the user's own
        this.engines = natives;
    }

    /**
     * @param checked  kept takes that are
     * @param of       kept takes that there are
     * @param findings in the order of the programme
     */
    record Checked(int checked, int of, int dismissed, List<FindingLine> findings) {}

    /** @param from seconds into the take. @param sound address of it */
    record FindingLine(
            UUID cue,
            String number,
            UUID take,
            String name,
            String kind,
            String label,
            String sentence,
            int start,
            double from,
            double to,
            String sound) {}

    /** Checks what isn't checked yet, as far as a moment allows, and tells what was found. */
    Checked check(UUID project) {
        ProjectView view = projects.view(project);
        boolean mine = oneAtATime.tryLock();
        try {
            if (mine) {
                checkMore(project);
            }
        } finally {
            if (mine) {
                oneAtATime.unlock();
            }
        }
        List<FindingLine> lines = new ArrayList<>();
        int kept = 0;
        int checked = 0;
        int dismissed = 0;
        var known = checks.of(project);
        for (CueView cue : view.cues()) {
            if (cue.keptTake() == null) {
                continue;
            }
            kept++;
            CheckRepository.Known found = known.get(cue.keptTake());
            if (found == null) {
                continue;
            }
            checked++;
            for (TakeFinding finding : found.findings()) {
                if (found.dismissed().contains(CheckRepository.key(finding))) {
                    dismissed++;
                } else {
                    lines.add(line(view, cue, found, finding));
                }
            }
        }
        return new Checked(checked, kept, dismissed, lines);
    }

    private static FindingLine line(ProjectView view, CueView cue, CheckRepository.Known known, TakeFinding finding) {
        return new FindingLine(
                cue.id(),
                cue.number(),
                cue.keptTake(),
                known.name(),
                finding.kind().id(),
                finding.kind().label(),
                finding.sentence(),
                finding.start(),
                finding.fromSeconds(),
                finding.toSeconds(),
                ProgrammeReader.address(view.project(), cue));
    }

    private void checkMore(UUID project) {
        long started = System.nanoTime();
        // what is found can't be kept on a full disk, and is looked for when there is room
        for (UUID id : room.full() ? List.<UUID>of() : checks.unchecked(project)) {
            takes.find(id).ifPresent(take -> checks.save(take.speech(), findings(take)));
            if (System.nanoTime() - started > AT_ONCE_NANOS) {
                return;
            }
        }
    }

    private List<TakeFinding> findings(Take take) {
        Optional<RecordingRepository.Told> told = recordings.find(take.speech());
        if (told.isPresent()) {
            // it was held against its words when it was taken
            return told.get().findings();
        }
        if (take.sound().seconds() > LONGEST_SECONDS) {
            return List.of();
        }
        TakeOrigin origin = take.origin();
        SpokenText spoken = origin.pronunciations() == null
                ? SpokenText.of(origin.text())
                : SpokenText.of(
                        origin.text(),
                        origin.pronunciations(),
                        base(origin).map(Voice::language).orElse(""));
        return TakeCheck.of(
                audio.source(take.sound()).inMemory(),
                origin,
                spoken,
                anew(origin, spoken).orElse(null));
    }

    /** The voice that spoke it, as it is without a house's tuning; empty where none did, or it isn't here. */
    private Optional<Voice> base(TakeOrigin origin) {
        TakeOrigin.VoiceThen then = origin.voice();
        return then == null ? Optional.empty() : voices.find(then.baseId() == null ? then.id() : then.baseId());
    }

    /**
     * The same voice saying the same; empty where that is no use: other voices, whispers, and voices that aren't here.
     */
    private Optional<Utterance> anew(TakeOrigin origin, SpokenText spoken) {
        boolean otherwise = origin.standing().heard().stream()
                .map(Mark::instruction)
                .anyMatch(asked -> asked instanceof Instruction.SpokenBy
                        || asked instanceof Instruction.Language
                        || asked instanceof Instruction.Whisper);
        if (otherwise) {
            return Optional.empty();
        }
        Optional<Voice> voice = base(origin).filter(found -> found.terms().free() && !found.whispers());
        try {
            return voice.map(found -> engines.speak(
                    new SpeechRequest(found, spoken, Math.max(0.5, Math.min(2, origin.paceFactor())), 0)));
        } catch (SpeechFailed | IllegalArgumentException mute) {
            // then its words can't be compared; the rest of the check needs no voice
            return Optional.empty();
        }
    }
}
