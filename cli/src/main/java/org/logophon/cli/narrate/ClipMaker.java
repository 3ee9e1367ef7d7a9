package org.logophon.cli.narrate;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.logophon.cli.ScriptFile;
import org.logophon.cli.Sentence;
import org.logophon.core.delivery.ClipFields;
import org.logophon.core.delivery.ClipFile;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.FileNames;
import org.logophon.core.delivery.PackagePart;
import org.logophon.core.finish.Clip;
import org.logophon.core.finish.ClipFinisher;
import org.logophon.core.programme.Programme;
import org.logophon.core.programme.Programme.PlacedClip;
import org.logophon.core.programme.SampleCount;
import org.logophon.core.render.Measurement;
import org.logophon.core.render.Narrator;
import org.logophon.core.render.Recipe;
import org.logophon.core.render.Speech;
import org.logophon.core.render.SpeechFailed;
import org.logophon.core.script.ScriptCue;
import org.logophon.core.voice.Voice;
import org.logophon.core.wav.WavFile;
import org.logophon.speech.Engines;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;
import org.logophon.speech.hired.HiredEngine;
import org.logophon.speech.hired.HiredService;
import org.logophon.speech.own.OwnEngine;

/** Renders, finishes and writes the cues of one script after another, on all cores, in the order of the script. */
final class ClipMaker {

    private final Narrator narrator;
    private final ClipFinisher finisher;
    private final NarrationPlan plan;
    private final Outcome outcome;
    private final PrintWriter progress;
    private final int threads = Math.max(1, Runtime.getRuntime().availableProcessors());

    /** @param hired null when there is no service of hired voices */
    ClipMaker(
            WorkerPool pool,
            NarrationPlan plan,
            HiredService hired,
            List<OwnEngine> own,
            Outcome outcome,
            PrintWriter progress) {
        this.narrator = new Narrator(
                new Engines(pool, hired == null ? null : new HiredEngine(hired, outcome), own),
                new WorkerResampler(pool));
        this.finisher = new ClipFinisher(new WorkerResampler(pool));
        this.plan = plan;
        this.outcome = outcome;
        this.progress = progress;
    }

    /**
     * A clip that is on disk.
     *
     * @param index     of its cue in the script
     * @param semitones that were asked for
     */
    private record Made(
            int index,
            DeliveredClip clip,
            SampleCount length,
            Measurement measurement,
            double paceFactor,
            double semitones) {}

    void make(ScriptFile file, Path folder) throws IOException {
        Files.createDirectories(folder);
        List<ScriptCue> cues = file.script().cues();
        FileNames names = new FileNames(plan.namePattern());
        List<String> fileNames = new ArrayList<>();
        for (int i = 0; i < cues.size(); i++) {
            fileNames.add(names.next(fields(file, cues.get(i), i), "wav"));
        }
        ExecutorService threadsOfWork = Executors.newFixedThreadPool(threads);
        try {
            List<Future<Made>> work = new ArrayList<>();
            for (int i = 0; i < cues.size(); i++) {
                int at = i;
                work.add(threadsOfWork.submit(() -> one(file, at, folder, fileNames.get(at))));
            }
            place(collect(file, work), file, folder);
        } finally {
            threadsOfWork.shutdownNow();
        }
    }

    private Made one(ScriptFile file, int at, Path folder, String fileName) throws IOException {
        ScriptCue cue = file.script().cues().get(at);
        String number = file.numbers().get(at);
        String problem = ScriptCue.problem(cue.text());
        if (problem != null) {
            throw new SpeechFailed(problem);
        }
        Recipe recipe = plan.recipe(file, at, narrator::engineVersion);
        Voice voice = recipe.voice();
        Speech speech = narrator.render(recipe);
        Clip clip = finisher.finish(speech, plan.finish(), plan.direction().loudnessDb());
        // a clip is whole or not there: written beside its place, then moved
        Path target = folder.resolve(fileName);
        Path part = target.resolveSibling("." + target.getFileName() + ".part");
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(part), 1 << 16)) {
            ClipFile.write(clip, number, cue.text(), SampleCount.ZERO, LocalDateTime.now(), out);
        }
        Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
        return new Made(
                at,
                new DeliveredClip(
                        number,
                        fileName,
                        cue.scene(),
                        cue.role(),
                        plan.voiceOf(file, at).name(),
                        cue.text(),
                        clip.words(),
                        clip.loudness(),
                        clip.truePeakDbtp()),
                SampleCount.converted(clip.sound().length(), clip.sound().rate()),
                speech.measurement(),
                recipe.paceFactor(),
                voice.whispers() ? plan.direction().semitones() : recipe.semitones());
    }

    /** Those that could be made, in the order of the script; the others are told. */
    private List<Made> collect(ScriptFile file, List<Future<Made>> work) {
        List<Made> clips = new ArrayList<>();
        for (int i = 0; i < work.size(); i++) {
            String number = file.numbers().get(i);
            try {
                Made made = work.get(i).get();
                clips.add(made);
                warnings(file, number, plan.voiceOf(file, i), made);
                plan.missing(file, i)
                        .forEach(sentence -> outcome.warning(file.name() + ", cue " + number + ": " + sentence));
                progress.println(file.name() + ": " + number + " written, " + (i + 1) + " of " + work.size());
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
        return clips;
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

    private ClipFields fields(ScriptFile file, ScriptCue cue, int position) {
        return new ClipFields(
                file.numbers().get(position),
                cue.text(),
                cue.role(),
                plan.voiceOf(file, position).name(),
                "T1",
                cue.scene(),
                file.name());
    }

    /** Gives every clip its place in the programme, and writes what is told of the whole. */
    private void place(List<Made> clips, ScriptFile file, Path folder) throws IOException {
        SampleCount gap = SampleCount.ofMillis(plan.direction().pauseMillis());
        Programme<Made> programme = Programme.inOrder(clips.stream()
                .map(made -> new Programme.Entry<>(made, made.length(), gap))
                .toList());
        for (PlacedClip<Made> placed : programme.clips()) {
            Made made = placed.cue();
            WavFile.setTimeReference(
                    folder.resolve(made.clip().file()), placed.start().samples());
            outcome.clip(
                    made.clip(),
                    placed.length(),
                    plan.voiceOf(file, made.index()).id(),
                    file.directed().isEmpty()
                            ? List.of()
                            : file.directed().get(made.index()).places());
        }
        for (PackagePart part : PackagePart.ALL) {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(folder.resolve(part.fileName())))) {
                part.write(programme.with(Made::clip), out);
            }
        }
    }
}
