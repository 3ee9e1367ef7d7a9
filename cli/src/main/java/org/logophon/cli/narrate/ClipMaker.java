package org.logophon.cli.narrate;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.logophon.cli.ScriptFile;
import org.logophon.cli.Sentence;
import org.logophon.core.delivery.CueSheet;
import org.logophon.core.delivery.FileNames;
import org.logophon.core.delivery.Slug;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.finish.Clip;
import org.logophon.core.finish.ClipFinisher;
import org.logophon.core.render.Measurement;
import org.logophon.core.render.Narrator;
import org.logophon.core.render.Recipe;
import org.logophon.core.render.Speech;
import org.logophon.core.render.SpeechFailed;
import org.logophon.core.script.ScriptCue;
import org.logophon.core.voice.Voice;
import org.logophon.core.wav.BroadcastExtension;
import org.logophon.core.wav.SampleFormat;
import org.logophon.core.wav.WavWriter;
import org.logophon.speech.Engines;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;
import org.logophon.speech.hired.HiredEngine;
import org.logophon.speech.hired.HiredService;

/** Renders, finishes and writes the cues of one script after another, on all cores, in the order of the script. */
final class ClipMaker {

    private final Narrator narrator;
    private final ClipFinisher finishing;
    private final NarrationPlan plan;
    private final Outcome outcome;
    private final PrintWriter progress;
    private final int threads = Math.max(1, Runtime.getRuntime().availableProcessors());

    /** @param hired null when there is no service of hired voices */
    ClipMaker(WorkerPool pool, NarrationPlan plan, HiredService hired, Outcome outcome, PrintWriter progress) {
        this.narrator = new Narrator(
                new Engines(pool, hired == null ? null : new HiredEngine(hired, outcome)), new WorkerResampler(pool));
        this.finishing = new ClipFinisher(new WorkerResampler(pool));
        this.plan = plan;
        this.outcome = outcome;
        this.progress = progress;
    }

    /** A finished clip without its samples: they are on disk. @param semitones that were asked for */
    private record Made(Clip clip, int samples, Measurement measurement, double paceFactor, double semitones) {}

    void make(ScriptFile file, Path folder) throws IOException {
        Files.createDirectories(folder);
        List<ScriptCue> cues = file.script().cues();
        FileNames names = new FileNames(plan.namePattern());
        List<String> fileNames = new ArrayList<>();
        for (int i = 0; i < cues.size(); i++) {
            fileNames.add(names.next(values(file, cues.get(i), i), "wav"));
        }
        ExecutorService threadsOfWork = Executors.newFixedThreadPool(threads);
        try {
            List<Future<Made>> work = new ArrayList<>();
            for (int i = 0; i < cues.size(); i++) {
                int at = i;
                work.add(threadsOfWork.submit(() -> one(file, at, folder.resolve(fileNames.get(at)))));
            }
            writeSheet(collect(file, cues, fileNames, work), folder);
        } finally {
            threadsOfWork.shutdownNow();
        }
    }

    private Made one(ScriptFile file, int at, Path target) throws IOException {
        ScriptCue cue = file.script().cues().get(at);
        String number = file.numbers().get(at);
        String problem = ScriptCue.problem(cue.text());
        if (problem != null) {
            throw new SpeechFailed(problem);
        }
        ResolvedDirection direction = plan.effective();
        Recipe recipe = plan.recipe(file, at, narrator::engineVersion);
        Voice voice = recipe.voice();
        Speech speech = narrator.render(recipe);
        Clip clip = finishing.finish(speech, plan.finish(), direction.loudnessDb());
        BroadcastExtension bext = new BroadcastExtension(
                cue.text(), number, LocalDateTime.now(), 0, clip.loudness().lufs(), clip.truePeakDbtp());
        // a clip is whole or not there: written beside its place, then moved
        Path part = target.resolveSibling("." + target.getFileName() + ".part");
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(part), 1 << 16)) {
            WavWriter.write(clip.sound(), SampleFormat.PCM_24, bext, out);
        }
        Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
        return new Made(
                new Clip(null, clip.words(), clip.loudness(), clip.truePeakDbtp()),
                clip.sound().samples().length,
                speech.measurement(),
                recipe.paceFactor(),
                voice.whispers() ? direction.semitones() : recipe.semitones());
    }

    private List<CueSheet.Row> collect(
            ScriptFile file, List<ScriptCue> cues, List<String> fileNames, List<Future<Made>> work) {
        List<CueSheet.Row> rows = new ArrayList<>();
        long at = 0;
        int rate = plan.finish().rate();
        for (int i = 0; i < cues.size(); i++) {
            ScriptCue cue = cues.get(i);
            String number = file.numbers().get(i);
            try {
                Made made = work.get(i).get();
                Voice voice = plan.voiceOf(file, i);
                CueSheet.Row row = new CueSheet.Row(
                        number,
                        fileNames.get(i),
                        cue.scene(),
                        cue.role(),
                        voice.name(),
                        cue.text(),
                        at / (double) rate,
                        made.samples() / (double) rate,
                        made.clip().loudness().lufs(),
                        made.clip().truePeakDbtp());
                rows.add(row);
                outcome.clip(
                        row,
                        voice.id(),
                        made.clip(),
                        file.directed().isEmpty()
                                ? List.of()
                                : file.directed().get(i).places());
                warnings(file, number, voice, made);
                plan.missing(file, i)
                        .forEach(sentence -> outcome.warning(file.name() + ", cue " + number + ": " + sentence));
                at += made.samples() + (long) plan.effective().pauseMillis() * rate / 1000;
                progress.println(file.name() + ": " + number + " written, " + (i + 1) + " of " + cues.size());
            } catch (ExecutionException e) {
                String sentence = file.name() + ", cue " + number + ": " + reason(e.getCause());
                outcome.failure(sentence);
                progress.println(sentence);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new CompletionException("The narration was interrupted.", e);
            }
            progress.flush();
        }
        return rows;
    }

    private static String reason(Throwable cause) {
        if (cause instanceof SpeechFailed) {
            return cause.getMessage();
        }
        return cause instanceof IOException io
                ? Sentence.of(io)
                : "it failed without a known reason (" + cause.getClass().getSimpleName() + ").";
    }

    private void warnings(ScriptFile file, String number, Voice voice, Made made) {
        made.measurement()
                .misses(made.paceFactor(), made.semitones(), voice)
                .forEach(miss -> outcome.warning(file.name() + ", cue " + number + ": " + miss));
        if (!made.clip().loudness().gated()) {
            outcome.warning(
                    file.name() + ", cue " + number + ": under 0.4 s of speech, so its loudness is the plain mean.");
        }
    }

    private Map<String, String> values(ScriptFile file, ScriptCue cue, int position) {
        return Map.of(
                "number",
                file.numbers().get(position),
                "slug",
                Slug.of(cue.text()),
                "role",
                cue.role(),
                "voice",
                plan.voiceOf(file, position).name(),
                "take",
                "T1",
                "scene",
                cue.scene(),
                "project",
                file.name());
    }

    private static void writeSheet(List<CueSheet.Row> rows, Path folder) throws IOException {
        try (Writer out = Files.newBufferedWriter(folder.resolve("cue-sheet.csv"), StandardCharsets.UTF_8)) {
            CueSheet.write(rows, out);
        }
    }
}
