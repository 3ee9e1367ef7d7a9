package org.logophon.app.steps.record;

import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.TakeKeeping;
import org.logophon.app.services.project.take.RecordingRepository;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.StoredSpeech;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.project.take.TakeSource;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.text.reading.SaidByRule;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.recording.Activity;
import org.logophon.core.voice.recording.Cleaning;
import org.logophon.core.voice.recording.HeldRecording;
import org.logophon.core.voice.recording.RecordingAligner;
import org.logophon.core.voice.recording.RecordingFigures;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.take.TakeOrigin;
import org.logophon.core.voice.take.TakeOrigin.VoiceThen;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Makes takes of what people say. */
@Service
public class Recordings {

    /** What is held in memory while it is aligned; nobody says a cue for longer. */
    static final double LONGEST_SECONDS = 600;
    /** Left around the speech, so that soft starts and ends stay whole. */
    private static final double AROUND_SECONDS = 0.15;

    private final Projects projects;
    private final ProjectRepository table;
    private final RecordingAligner holder;
    private final SpeechRepository speeches;
    private final RecordingRepository recordings;
    private final TakeRepository takes;
    private final TakeKeeping keeping;
    private final TransactionTemplate transaction;

    Recordings(
            Projects projects,
            ProjectRepository table,
            RecordingAligner holder,
            SpeechRepository speeches,
            RecordingRepository recordings,
            TakeRepository takes,
            TakeKeeping keeping,
            TransactionTemplate transaction) {
        this.projects = projects;
        this.table = table;
        this.holder = holder;
        this.speeches = speeches;
        this.recordings = recordings;
        this.takes = takes;
        this.keeping = keeping;
        this.transaction = transaction;
    }

    /** What a sound came from. @param from speech that it was cleaned from; null with its cleaning for none */
    public record RecordingOrigin(TakeSource source, UUID from, Cleaning cleaning) {

        public static final RecordingOrigin RECORDED = new RecordingOrigin(TakeSource.RECORDED, null, null);
        static final RecordingOrigin UPLOADED = new RecordingOrigin(TakeSource.UPLOADED, null, null);
    }

    /**
     * Holds a sound against the words of a cue, and makes a take of it.
     *
     * @param keep true when the cue is said by it from now on
     * @throws Refused with a sentence when nobody speaks in it, or nothing can be said in it
     */
    public UUID take(UUID project, UUID cueId, Sound sound, RecordingOrigin made, boolean keep) {
        return take(project, cueId, sound, made, keep, take -> {});
    }

    /** @param withIt is saved with the take, or not at all */
    UUID take(UUID project, UUID cueId, Sound sound, RecordingOrigin made, boolean keep, Consumer<UUID> withIt) {
        RecordingFigures figures = RecordingFigures.of(sound);
        if (figures.silent()) {
            throw new Refused(figures.warning());
        }
        CueView cue = projects.cue(project, cueId);
        String text = cue.cue().text();
        Activity.Span span = Activity.of(sound).speech(AROUND_SECONDS, sound.samples().length);
        Sound speech = sound.cut(span.from(), span.to());
        String language = language(project, cue);
        boolean said = cue.recipe() != null && !cue.voice().engine().equals(RecordedVoice.ENGINE);
        SpokenText spoken =
                said ? cue.recipe().spokenText() : SpokenText.of(text, SaidByRule.of(text, language), language);
        HeldRecording held = holder.hold(speech, text, spoken, language);
        return transaction.execute(status -> {
            table.hold(project);
            StoredSpeech stored = speeches.save(speech, held.words(), held.phones());
            recordings.save(
                    stored.id(),
                    new RecordingRepository.Told(
                            held.doubts().stream().map(Double::floatValue).toList(),
                            held.findings(),
                            Set.of(),
                            figures,
                            made.from(),
                            made.cleaning()));
            UUID take = takes.spoken(
                    cueId,
                    made.source(),
                    stored.id(),
                    TakeOrigin.spoken(text, cue.cue().role(), asVoice(stored.id(), language, made)));
            if (keep) {
                keeping.keep(project, take);
            }
            withIt.accept(take);
            return take;
        });
    }

    private static VoiceThen asVoice(UUID speech, String language, RecordingOrigin made) {
        String id = RecordedVoice.itself(speech.toString(), language).id();
        String name = made.cleaning() == null ? "your recording" : "your recording, cleaned";
        return new VoiceThen(id, name, id, Tuning.NONE);
    }

    private String language(UUID project, CueView cue) {
        return cue.voice() == null || cue.voice().language().isEmpty()
                ? projects.require(project).language()
                : cue.voice().language();
    }

    /** A stretch of it, in memory. */
    static Sound stretch(SoundSource sound, double fromSeconds, double toSeconds) {
        if (Math.min(toSeconds, sound.length() / (double) sound.rate()) - fromSeconds > LONGEST_SECONDS) {
            throw new Refused("A cue is ten minutes at most. Cut the recording into its cues.");
        }
        return sound.stretch(fromSeconds, toSeconds);
    }
}
