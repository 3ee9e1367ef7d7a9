package org.logophon.app.steps.record;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.script.ScriptSaving;
import org.logophon.app.steps.record.UploadRepository.Piece;
import org.logophon.app.steps.record.UploadRepository.State;
import org.logophon.app.steps.record.UploadRepository.Upload;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.logophon.core.time.coding.CodingFailed;
import org.logophon.core.voice.recording.Activity;
import org.logophon.core.voice.recording.HeardDraft;
import org.logophon.core.voice.recording.HeardWord;
import org.logophon.speech.heard.Recogniser;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * A first draft of a script from a recording of it: what Debian's recogniser hears, a cue where the speaker rests, each
 * with its stretch of the recording as its take. Table {@code heard_draft} has the words that it wasn't sure of.
 */
@Component
class RecordingDrafts {

    /** So much is heard at once, parted where nobody speaks. */
    private static final double CHUNK_SECONDS = 40;
    /** Around a cue, so that soft starts and ends are in it. */
    private static final double BEFORE_SECONDS = 0.2;

    private static final double AFTER_SECONDS = 0.3;
    /** Of a word, in which the voice comes down or goes up. */
    private static final double ENDING_SECONDS = 0.2;

    private final Projects projects;
    private final ScriptSaving scripts;
    private final UploadRepository uploads;
    private final AudioStore audio;
    private final Resampler resampler;
    private final JdbcClient jdbc;
    private final TransactionTemplate transaction;

    RecordingDrafts(
            Projects projects,
            ScriptSaving scripts,
            UploadRepository uploads,
            AudioStore audio,
            Resampler resampler,
            JdbcClient jdbc,
            TransactionTemplate transaction) {
        this.projects = projects;
        this.scripts = scripts;
        this.uploads = uploads;
        this.audio = audio;
        this.resampler = resampler;
        this.jdbc = jdbc;
        this.transaction = transaction;
    }

    /**
     * Writes the script, and says where in the recording each of its cues is.
     *
     * @throws Refused with a sentence when nothing is heard, or somebody has begun to write meanwhile
     */
    void write(Upload upload) {
        List<HeardDraft.Paragraph> draft = draft(audio.source(upload.sound()));
        if (draft.isEmpty()) {
            throw new Refused("No words were recognised in " + upload.name() + ". Is it speech, in US English?");
        }
        transaction.executeWithoutResult(status -> {
            int version = projects.require(upload.project()).scriptVersion();
            if (version > 0) {
                throw new Refused("Someone has begun to write here, and the draft would overwrite it.");
            }
            scripts.save(
                    upload.project(),
                    String.join(
                            "\n\n",
                            draft.stream().map(HeardDraft.Paragraph::text).toList()),
                    version,
                    "Draft, as heard in " + upload.name());
            List<CueView> cues = projects.view(upload.project()).cues();
            List<Piece> pieces = new ArrayList<>();
            for (int i = 0; i < Math.min(cues.size(), draft.size()); i++) {
                doubt(cues.get(i).id(), draft.get(i));
                pieces.add(new Piece(
                        cues.get(i).id(),
                        Math.max(0, draft.get(i).fromSeconds() - BEFORE_SECONDS),
                        Math.min(upload.sound().seconds(), draft.get(i).toSeconds() + AFTER_SECONDS),
                        true,
                        null,
                        null));
            }
            uploads.set(upload.id(), State.TAKING, pieces, null);
        });
    }

    private void doubt(UUID cue, HeardDraft.Paragraph paragraph) {
        jdbc.sql("insert into heard_draft (cue_id, text, doubtful) values (:cue, :text, :doubtful)")
                .param("cue", cue)
                .param("text", paragraph.text())
                .param(
                        "doubtful",
                        paragraph.doubtful().stream()
                                .flatMap(place -> Stream.of(place[0], place[1]))
                                .toArray(Integer[]::new))
                .update();
    }

    private List<HeardDraft.Paragraph> draft(SoundSource sound) {
        List<HeardWord> words = new ArrayList<>();
        Map<HeardWord, Double> endings = new HashMap<>();
        List<Double> middles = new ArrayList<>();
        double length = sound.length() / (double) sound.rate();
        double at = 0;
        while (at < length) {
            Sound chunk = Recordings.stretch(sound, at, Math.min(length, at + CHUNK_SECONDS));
            double seconds = at + CHUNK_SECONDS >= length ? chunk.seconds() : rest(chunk);
            Sound part = Recordings.stretch(sound, at, at + seconds);
            PitchTrack track = PitchMeter.track(part);
            if (track.medianHz() > 0) {
                middles.add(track.medianHz());
            }
            for (HeardWord heard : hear(part)) {
                HeardWord word = heard.later(at);
                words.add(word);
                endings.put(word, ending(heard, track, part.rate()));
            }
            at += seconds;
        }
        double middle =
                middles.isEmpty() ? 0 : middles.stream().sorted().toList().get(middles.size() / 2);
        return HeardDraft.of(
                words,
                word -> middle > 0 && endings.get(word) > 0
                        ? PitchTrack.semitones(middle, endings.get(word))
                        : Double.NaN);
    }

    /** Pitch at the end of a word, in Hz; 0 where it has none. */
    private static double ending(HeardWord word, PitchTrack track, int rate) {
        int end = (int) (word.toSeconds() * rate);
        return track.between(end - (int) (ENDING_SECONDS * rate), end, rate).medianHz();
    }

    /** Seconds to the middle of the last rest in the later half; all of it where nobody rests. */
    private static double rest(Sound chunk) {
        double found = chunk.seconds();
        for (Activity.Span pause : Activity.of(chunk).pauses()) {
            double middle = (pause.from() + pause.to()) / 2.0 / chunk.rate();
            found = middle > chunk.seconds() / 2 ? middle : found;
        }
        return found;
    }

    private List<HeardWord> hear(Sound chunk) {
        try {
            Path file = Files.createTempFile("logophon-heard", ".wav");
            try {
                try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
                    WavWriter.write(resampler.resample(chunk, Recogniser.RATE), SampleFormat.PCM_16, null, out);
                }
                return Recogniser.words(file);
            } finally {
                Files.deleteIfExists(file);
            }
        } catch (CodingFailed failed) {
            throw new Refused(failed.getMessage());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new Refused("Recognising the speech was interrupted. Import the file again.");
        }
    }
}
