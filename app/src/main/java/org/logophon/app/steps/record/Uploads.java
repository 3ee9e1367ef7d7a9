package org.logophon.app.steps.record;

import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.platform.audio.StoredSound;
import org.logophon.app.platform.failure.DatabaseAway;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.rendering.JobQueue;
import org.logophon.app.services.rendering.JobRetry;
import org.logophon.app.steps.record.UploadRepository.Piece;
import org.logophon.app.steps.record.UploadRepository.State;
import org.logophon.app.steps.record.UploadRepository.Upload;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.voice.align.LongCut;
import org.logophon.core.voice.recording.CueCutter;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Files with many cues in them: cut into their cues, looked over by somebody, and taken. */
@Service
class Uploads {

    /** The job, beside the service that schedules it. */
    @Configuration
    static class Job {
        @Bean
        OneTimeTask<Void> uploadTask(ObjectProvider<Uploads> uploads) {
            return Tasks.oneTime("take-recording")
                    .onFailure(JobRetry.whileTheDatabaseIsAway(
                            name -> uploads.getObject().end(id(name), DatabaseAway.SENTENCE)))
                    .execute((instance, context) -> uploads.getObject().run(instance.getId()));
        }
    }

    private final Projects projects;
    private final UploadRepository table;
    private final AudioStore audio;
    private final CueCutter cutter;
    private final Recordings recordings;
    private final RecordingDrafts drafts;
    private final JobQueue jobs;
    private final OneTimeTask<Void> task;
    private final TransactionTemplate transaction;

    Uploads(
            Projects projects,
            UploadRepository table,
            AudioStore audio,
            CueCutter cutter,
            Recordings recordings,
            RecordingDrafts drafts,
            JobQueue jobs,
            OneTimeTask<Void> uploadTask,
            TransactionTemplate transaction) {
        this.projects = projects;
        this.table = table;
        this.audio = audio;
        this.cutter = cutter;
        this.recordings = recordings;
        this.drafts = drafts;
        this.jobs = jobs;
        this.task = uploadTask;
        this.transaction = transaction;
    }

    /** In less nobody says a cue twice. */
    private static final double SAID_ONCE_SECONDS = 1.5;

    /** 60 dB under full scale: nobody is heard. */
    private static final float SILENT = 0.001f;

    private static UUID id(String job) {
        return UUID.fromString(job.substring(job.indexOf('/') + 1));
    }

    /** Stores a file's sound and has it cut. @param role whose cues are in it; empty for everybody's */
    UUID add(UUID project, String name, String role, SoundSource sound) throws IOException {
        List<CueView> cues = cues(project, role);
        if (cues.isEmpty()) {
            throw new Refused("There are no cues of " + role + " to look for.");
        }
        StoredSound stored = audio.store(sound, sound.length() > 600L * sound.rate() ? 16 : 24);
        return transaction.execute(status -> {
            UUID id = table.add(project, name, role, stored, State.CUTTING);
            jobs.add(task, List.of("cut/" + id));
            return id;
        });
    }

    /** Stores a file's sound and has its words written down. */
    UUID addDraft(UUID project, String name, SoundSource sound) {
        StoredSound stored = audio.store(sound, sound.length() > 600L * sound.rate() ? 16 : 24);
        return transaction.execute(status -> {
            UUID id = table.add(project, name, "", stored, State.HEARING);
            jobs.add(task, List.of("hear/" + id));
            return id;
        });
    }

    Upload require(UUID project, UUID id) {
        return table.find(id)
                .filter(upload -> upload.project().equals(project))
                .orElseThrow(() -> new NotFound("This file was imported or deleted. Reload the page."));
    }

    /** @throws Refused for one that isn't in the file */
    Sound stretch(UUID project, UUID id, double fromSeconds, double toSeconds) {
        Upload upload = require(project, id);
        if (!(fromSeconds >= 0
                && toSeconds > fromSeconds
                && fromSeconds < upload.sound().seconds())) {
            throw new Refused("There is nothing from " + fromSeconds + " to " + toSeconds + " s. " + upload.name()
                    + " is " + Math.round(upload.sound().seconds()) + " s long.");
        }
        return Recordings.stretch(audio.source(upload.sound()), fromSeconds, toSeconds);
    }

    List<Upload> open(UUID project) {
        return table.open(project);
    }

    /** Takes what somebody has looked over. @throws Refused with a sentence when it isn't ready for that */
    void take(UUID project, UUID id, List<Piece> pieces) {
        Upload upload = require(project, id);
        if (upload.state() != State.CUT && upload.state() != State.FAILED) {
            throw new Refused(upload.name() + " is being worked on already.");
        }
        List<Piece> wanted = pieces.stream().filter(Piece::wanted).toList();
        if (wanted.isEmpty()) {
            throw new Refused("Select at least one cue.");
        }
        double seconds = upload.sound().seconds();
        for (Piece piece : wanted) {
            CueView cue = projects.cue(project, piece.cue());
            if (!(piece.from() >= 0 && piece.to() > piece.from() && piece.to() <= seconds + 0.01)) {
                throw new Refused("Cue " + cue.number() + " must end after it begins, within the file's "
                        + Math.round(seconds) + " s.");
            }
        }
        transaction.executeWithoutResult(status -> {
            table.set(id, State.TAKING, wanted, null);
            jobs.add(task, List.of("take/" + id));
        });
    }

    void remove(UUID project, UUID id) {
        table.remove(require(project, id).id());
    }

    void run(String job) {
        UUID id = id(job);
        JobRetry.run("Upload " + id, () -> work(job, id), problem -> end(id, problem));
    }

    void end(UUID id, String problem) {
        table.find(id).ifPresent(upload -> table.set(id, State.FAILED, upload.pieces(), problem));
    }

    private void work(String job, UUID id) {
        Upload upload = table.find(id).orElse(null);
        if (upload == null) {
            return;
        }
        if (job.startsWith("cut/")) {
            cut(upload);
        } else if (job.startsWith("hear/")) {
            if (upload.state() == State.HEARING) {
                drafts.write(upload);
            }
            take(table.find(id).orElse(upload));
        } else {
            take(upload);
        }
    }

    private List<CueView> cues(UUID project, String role) {
        return projects.view(project).cues().stream()
                .filter(cue -> role.isEmpty() || cue.cue().role().equalsIgnoreCase(role))
                .toList();
    }

    private void cut(Upload upload) {
        Project project = projects.require(upload.project());
        List<CueView> cues = cues(upload.project(), upload.role());
        List<Piece> pieces = new ArrayList<>();
        cutter.cut(
                        audio.source(upload.sound()),
                        cues.stream().map(cue -> cue.cue().text()).toList(),
                        project.language())
                .forEach(said -> pieces.add(
                        new Piece(cues.get(said.cue()).id(), said.fromSeconds(), said.toSeconds(), true, null, null)));
        table.set(upload.id(), State.CUT, pieces, pieces.isEmpty() ? nothingFound(audio.source(upload.sound())) : null);
    }

    private static String nothingFound(SoundSource sound) {
        float[] peak = {0};
        sound.readAll((samples, count) -> {
            for (int i = 0; i < count; i++) {
                peak[0] = Math.max(peak[0], Math.abs(samples[i]));
            }
        });
        return peak[0] < SILENT
                ? "There is no sound in it. Is it the right file?"
                : "None of the words was found in it. Is it the right file, and the right role? Add cues by "
                        + "hand, or delete it.";
    }

    /** Stretches of a file in which one cue is said, once or several times; all of it where its words aren't found. */
    List<LongCut.Said> times(UUID project, UUID cue, SoundSource sound) {
        Project owner = projects.require(project);
        List<LongCut.Said> said = sound.length() < SAID_ONCE_SECONDS * sound.rate()
                ? List.of()
                : cutter.cut(sound, List.of(projects.cue(project, cue).cue().text()), owner.language());
        return said.size() > 1 ? said : List.of(new LongCut.Said(0, 0, sound.length() / (double) sound.rate()));
    }

    /**
     * One after the other, each whole: who is stopped half-way goes on where it was. Of a cue said several times the
     * last is kept.
     */
    private void take(Upload upload) {
        SoundSource sound = audio.source(upload.sound());
        List<Piece> pieces = new ArrayList<>(upload.pieces());
        for (int i = 0; i < pieces.size(); i++) {
            Piece piece = pieces.get(i);
            if (piece.take() == null && piece.problem() == null) {
                take(upload, sound, pieces, i);
            }
        }
        List<Piece> failed =
                pieces.stream().filter(piece -> piece.problem() != null).toList();
        if (failed.isEmpty()) {
            table.remove(upload.id());
        } else {
            table.set(
                    upload.id(),
                    State.CUT,
                    failed.stream().map(piece -> piece.taken(null, null)).toList(),
                    failed.get(0).problem());
        }
    }

    /** A take and the note that it was taken are saved together: a kill in between loses both or none. */
    private void take(Upload upload, SoundSource sound, List<Piece> pieces, int at) {
        Piece piece = pieces.get(at);
        try {
            recordings.take(
                    upload.project(),
                    piece.cue(),
                    Recordings.stretch(sound, piece.from(), piece.to()),
                    Recordings.RecordingOrigin.UPLOADED,
                    true,
                    take -> {
                        pieces.set(at, piece.taken(take, null));
                        table.set(upload.id(), State.TAKING, pieces, null);
                    });
        } catch (Refused | NotFound forPeople) {
            pieces.set(at, piece.taken(null, forPeople.getMessage()));
            table.set(upload.id(), State.TAKING, pieces, null);
        }
    }
}
