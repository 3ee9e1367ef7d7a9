package org.logophon.cli.narrate;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.logophon.cli.input.InputUnusable;
import org.logophon.cli.input.ScriptFile;
import org.logophon.cli.input.Sentence;
import org.logophon.cli.narrate.DeliverOptions.Deliver;
import org.logophon.cli.narrate.MadeClip.Sounding;
import org.logophon.cli.narrate.PictureOptions.Picture;
import org.logophon.core.delivery.ClipFields;
import org.logophon.core.delivery.ClipFile;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.FileNames;
import org.logophon.core.delivery.FolderHold;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.SpokenTitle;
import org.logophon.core.delivery.WholeFile;
import org.logophon.core.delivery.part.CaptionsPart;
import org.logophon.core.delivery.part.SheetPart;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.signal.wav.WavFile;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.time.coding.SoundFormat;
import org.logophon.core.time.place.Fit;
import org.logophon.core.time.place.Fitting;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.finish.Clip;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;

/** Renders, finishes and writes the cues of one script after another, on all cores, in the order of the script. */
final class ClipMaker {

    private final CueMaker maker;
    private final WorkerPool pool;
    private final NarrationPlan plan;
    private final Outcome outcome;
    private final Picture picture;
    private final Deliver deliver;
    private final PrintWriter progress;
    private WorkSounds work;
    private final int threads = Math.max(1, Runtime.getRuntime().availableProcessors());

    /**
     * @param picture that clips are placed to; null for none
     * @param deliver null for clips, a cue sheet and captions
     */
    ClipMaker(
            CueMaker maker,
            WorkerPool pool,
            NarrationPlan plan,
            Outcome outcome,
            Picture picture,
            Deliver deliver,
            PrintWriter progress) {
        this.maker = maker;
        this.pool = pool;
        this.plan = plan;
        this.outcome = outcome;
        this.picture = picture;
        this.deliver = deliver;
        this.progress = progress;
    }

    void make(ScriptFile file, Path folder) throws IOException {
        Files.createDirectories(folder);
        try (FolderHold held = FolderHold.of(folder)) {
            makeAlone(file, folder);
        } catch (InvalidInput inTheWay) {
            throw new InputUnusable(inTheWay.getMessage());
        }
    }

    private void makeAlone(ScriptFile file, Path folder) throws IOException {
        List<ScriptCue> cues = file.script().cues();
        FileNames names = new FileNames(plan.namePattern());
        List<String> fileNames = new ArrayList<>();
        for (int i = 0; i < cues.size(); i++) {
            fileNames.add(names.next(fields(file, cues.get(i), i), DeliverOptions.extension(deliver)));
        }
        ExecutorService threadsOfWork = Executors.newFixedThreadPool(threads);
        try (WorkSounds sounds = new WorkSounds(new WorkerResampler(pool))) {
            work = sounds;
            List<Future<MadeClip>> making = new ArrayList<>();
            for (int i = 0; i < cues.size(); i++) {
                int at = i;
                making.add(threadsOfWork.submit(() -> one(file, at, folder, fileNames.get(at), null)));
            }
            List<MadeClip> clips = collect(file, making);
            Placing placing = new Placing(
                    picture, file.numbers(), cues.stream().map(ScriptCue::text).toList());
            List<MadeClip> fitted = placing.fits() ? fitted(clips, placing, file, folder, threadsOfWork) : clips;
            place(fitted, placing, file, folder, threadsOfWork);
        } finally {
            threadsOfWork.shutdownNow();
        }
    }

    /** Those that run past their slots, made anew so that they don't; where that can't be, it is told. */
    private List<MadeClip> fitted(
            List<MadeClip> clips, Placing placing, ScriptFile file, Path folder, ExecutorService threadsOfWork)
            throws IOException {
        List<MadeClip> all = new ArrayList<>(clips);
        List<Future<MadeClip>> work = new ArrayList<>();
        List<Integer> places = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            MadeClip made = all.get(i);
            SampleCount slot = placing.slot(made.index());
            Fit fit = slot == null
                    ? null
                    : Fit.into(
                            slot,
                            Fitting.spoken(
                                    made.clip().text(), made.recipe().voice().language(), made.take(), made.length()),
                            SampleCount.ZERO);
            if (fit == null) {
                continue;
            }
            if (!fit.fits()) {
                outcome.warning(
                        file.name() + ", cue " + made.clip().number() + ": it can't fit its slot within comfort. "
                                + (fit.words() == 1 ? "1 word" : fit.words() + " words") + " would have to go.");
            }
            Recipe recipe = Fitting.fitted(made.recipe(), made.take(), fit);
            String fileName = made.clip().file();
            places.add(i);
            work.add(threadsOfWork.submit(() -> one(file, made.index(), folder, fileName, recipe)));
        }
        List<MadeClip> again =
                collect(file, work, places.stream().map(i -> all.get(i).index()).toList());
        for (MadeClip made : again) {
            all.replaceAll(one -> one.index() == made.index() ? made : one);
        }
        return all;
    }

    /** @param fitted how it is said to fit its slot; null for as the plan says */
    private MadeClip one(ScriptFile file, int at, Path folder, String fileName, Recipe fitted) throws IOException {
        Sounding sounding = maker.make(file, at, fileName, fitted);
        DeliveredClip clip = sounding.made().clip();
        if (deliver == null) {
            write(sounding.sound(), clip.number(), clip.text(), folder, folder.resolve(fileName));
        } else {
            work.keep(clip.number(), sounding.sound().sound());
        }
        return sounding.made();
    }

    /** A clip is whole or not there: written beside its place, then moved. */
    private static void write(Clip clip, String number, String text, Path folder, Path target) throws IOException {
        WholeFile.makeWay(folder, target);
        WholeFile.write(target, out -> ClipFile.write(clip, number, text, SampleCount.ZERO, LocalDateTime.now(), out));
    }

    /** Those that could be made, in the order of the script; the others are told. */
    private List<MadeClip> collect(ScriptFile file, List<Future<MadeClip>> work) {
        return collect(file, work, IntStream.range(0, work.size()).boxed().toList());
    }

    /** @param cues that the work is for */
    private List<MadeClip> collect(ScriptFile file, List<Future<MadeClip>> work, List<Integer> cues) {
        List<MadeClip> clips = new ArrayList<>();
        for (int i = 0; i < work.size(); i++) {
            int at = cues.get(i);
            String number = file.numbers().get(at);
            try {
                MadeClip made = work.get(i).get();
                clips.add(made);
                warnings(file, number, plan.voiceOf(file, at), made);
                plan.missing(file, at)
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

    private void warnings(ScriptFile file, String number, Voice voice, MadeClip made) {
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

    /** At the end of a scene it is longer, unless a gap was asked for. */
    private SampleCount gapAfter(MadeClip made, ScriptFile file) {
        List<ScriptCue> cues = file.script().cues();
        int at = made.index();
        boolean ends = at + 1 < cues.size()
                && !cues.get(at + 1).scene().equals(cues.get(at).scene());
        boolean asked = plan.asked().pauseAfterMillis() != null;
        return SampleCount.ofMillis(
                ends && !asked
                        ? plan.direction().sceneMillis()
                        : plan.direction().pauseMillis());
    }

    /** Gives every clip its place in the programme, and writes what is told of the whole. */
    private void place(
            List<MadeClip> clips, Placing placing, ScriptFile file, Path folder, ExecutorService threadsOfWork)
            throws IOException {
        Programme<MadeClip> programme = Programme.placed(
                clips.stream()
                        .map(made -> new Programme.Entry<>(
                                made, made.length(), gapAfter(made, file), placing.placement(made.index())))
                        .toList(),
                picture == null ? null : picture.rate());
        PlacementReport report = new PlacementReport(placing, outcome);
        for (PlacedClip<MadeClip> placed : programme.clips()) {
            MadeClip made = placed.cue();
            if (deliver == null) {
                WavFile.setTimeReference(
                        folder.resolve(made.clip().file()), placed.start().samples());
            }
            outcome.clip(
                    made.clip(),
                    placed.length(),
                    plan.voiceOf(file, made.index()).id(),
                    file.directed().isEmpty()
                            ? List.of()
                            : file.directed().get(made.index()).places(),
                    report.of(placed));
        }
        report.findings(programme, file);
        Delivered delivered = new Delivered(
                deliver == null || deliver.title().isEmpty() ? file.name() : deliver.title(),
                plan.language(),
                picture == null ? FrameRate.DEFAULT : picture.rate(),
                picture == null ? 0 : picture.start(),
                programme.with(MadeClip::clip),
                List.of(),
                List.of());
        if (deliver != null) {
            deliver(delivered, folder, threadsOfWork);
            return;
        }
        for (PartFile part : files(delivered)) {
            Path target = folder.resolve(part.path());
            Files.createDirectories(target.getParent());
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(target))) {
                part.content().write(out);
            }
        }
    }

    /** Without a wish: the table and the captions of the clips. */
    private List<PartFile> files(Delivered delivered) {
        DeliveryOptions wishes = new DeliveryOptions(SoundFormat.USUAL, Set.of("srt"), DeliveryOptions.USUAL.minutes());
        List<PartFile> files = new ArrayList<>(List.of(SheetPart.plain(delivered)));
        files.addAll(new CaptionsPart().files(delivered, wishes, work));
        return files;
    }

    private void deliver(Delivered delivered, Path folder, ExecutorService threadsOfWork) throws IOException {
        if (!deliver.title().isEmpty() && !delivered.programme().clips().isEmpty()) {
            work.title(maker.say(
                    SpokenTitle.of(deliver.title(), delivered.programme().length(), delivered.language())));
        }
        if (deliver.bed() != null && !delivered.programme().clips().isEmpty()) {
            work.bed(deliver.bed(), delivered, plan.finish().targetLufs());
        }
        for (String path : new DeliveredFolder(folder, threadsOfWork).write(delivered, deliver, work)) {
            outcome.file(path);
        }
    }
}
