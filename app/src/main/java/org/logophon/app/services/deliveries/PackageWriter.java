package org.logophon.app.services.deliveries;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.deliveries.DeliveredFiles.Measured;
import org.logophon.app.services.deliveries.DeliveredFiles.Stored;
import org.logophon.app.services.deliveries.DeliveredProject.ClipOptions;
import org.logophon.app.services.deliveries.DeliveredProject.ClipSource;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.bed.LaidOut;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.StoredSpeech;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.rendering.Layers;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.FileWriting;
import org.logophon.core.delivery.Manifest;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.voice.finish.Clip;
import org.logophon.core.voice.finish.ClipFinisher;
import org.logophon.core.voice.finish.FinishSettings;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** The writer of a delivery's files, on all cores; it stores what isn't stored yet. */
@Component
class PackageWriter {

    private static final long ASKED_EVERY_MILLIS = 700;

    private final DeliveredProject delivering;
    private final DeliveredFiles files;
    private final SpeechRepository speeches;
    private final AudioStore audio;
    private final ClipFinisher finisher;
    private final DeliverySounds sounds;
    private final Layers layers;
    private final TransactionTemplate transaction;

    PackageWriter(
            DeliveredProject delivering,
            DeliveredFiles files,
            SpeechRepository speeches,
            AudioStore audio,
            ClipFinisher finisher,
            DeliverySounds sounds,
            Layers layers,
            TransactionTemplate transaction) {
        this.delivering = delivering;
        this.files = files;
        this.speeches = speeches;
        this.audio = audio;
        this.finisher = finisher;
        this.sounds = sounds;
        this.layers = layers;
        this.transaction = transaction;
    }

    /**
     * A delivery's clips in their places and what lies under them, worked out once: whoever changes something while it
     * is built changes the next delivery.
     */
    record Contents(ProjectView view, Delivery delivery, Programme<ClipSource> programme, LaidOut laid) {}

    Contents contents(ProjectView view, Delivery delivery) {
        Programme<ClipSource> programme = delivering.programme(
                view, ClipOptions.of(delivery.namePattern(), delivery.targetLufs(), delivery.choice()));
        return new Contents(view, delivery, programme, delivering.laidOut(view, programme, delivery.targetLufs()));
    }

    /** The number of steps: each clip is measured, then each file is written. */
    int steps(Contents contents) {
        Delivered delivered = delivering.delivered(contents.view(), contents.programme(), null);
        return contents.programme().clips().size()
                + partFiles(contents.delivery().choice(), delivered, DeliverySounds.names(contents.laid(), delivered))
                        .size();
    }

    /** Its cues as they are heard in it. */
    List<DeliveredCue> cues(Contents contents) {
        return contents.programme().clips().stream()
                .map(placed -> {
                    CueView cue = placed.cue().cue();
                    return new DeliveredCue(
                            cue.id(),
                            cue.keptTake(),
                            cue.number(),
                            cue.cue().scene(),
                            cue.cue().role(),
                            cue.direction().loudnessDb(),
                            placed.start(),
                            placed.length(),
                            cue.heard(contents.view().project()));
                })
                .toList();
    }

    private static List<PartFile> partFiles(
            Choice choice, Delivered delivered, org.logophon.core.delivery.Sounds sounds) {
        List<PartFile> files = new ArrayList<>();
        choice.chosen().forEach(part -> files.addAll(part.files(delivered, choice.wishes(), sounds)));
        return files;
    }

    /**
     * @param goOn told how many steps are done; false stops
     * @return what was written, compared with nothing yet; null when it was stopped
     */
    List<Stored> write(Contents contents, IntPredicate goOn) throws IOException {
        ProjectView view = contents.view();
        Delivery delivery = contents.delivery();
        LaidOut laid = contents.laid();
        Programme<ClipSource> programme = contents.programme();
        ExecutorService threads =
                Executors.newFixedThreadPool(Math.max(1, Runtime.getRuntime().availableProcessors()));
        try {
            List<Callable<Clip>> finishing = new ArrayList<>();
            programme.clips().forEach(placed -> finishing.add(() -> finished(placed.cue(), delivery.targetLufs())));
            List<Clip> clips = all(threads, finishing, at -> false, 0, goOn);
            if (clips == null) {
                return null;
            }
            Delivered delivered = delivering.delivered(view, programme, clips);
            Map<String, SoundSource> sources = new HashMap<>();
            Map<String, Take> takes = new HashMap<>();
            Map<String, ClipSource> madeOf = new LinkedHashMap<>();
            Map<String, Measured> measured = new HashMap<>();
            for (int i = 0; i < clips.size(); i++) {
                ClipSource made = programme.clips().get(i).cue();
                sources.put(made.cue().number(), clips.get(i).sound());
                takes.put(made.cue().number(), made.take());
                madeOf.put(made.cue().number(), made);
                measured.put(made.cue().number(), measured(clips.get(i)));
            }
            var layer = laid.empty() ? null : layers.layer(laid, programme.with(ClipSource::cue));
            var ready = sounds.of(view, delivered, delivery, sources, takes, layer);
            List<Callable<Stored>> writing = new ArrayList<>();
            List<PartFile> all = partFiles(delivery.choice(), delivered, ready);
            for (PartFile file : all) {
                ClipSource made = madeOf.get(file.cue());
                writing.add(
                        () -> written(file, delivered, made == null ? "" : made.madeOf(), measured.get(file.cue())));
            }
            // what is of many cues is long: begun last, it would leave the other cores without work
            return all(threads, writing, at -> all.get(at).cue().isEmpty(), clips.size(), goOn);
        } finally {
            threads.shutdownNow();
        }
    }

    /**
     * @param first which of them are begun before the others
     * @return in the order in which they were given; null when it was stopped
     */
    private static <T> List<T> all(
            ExecutorService threads, List<Callable<T>> work, IntPredicate first, int done, IntPredicate goOn)
            throws IOException {
        List<FutureTask<T>> running = work.stream().map(FutureTask::new).toList();
        IntStream.range(0, running.size()).filter(first).forEach(at -> threads.execute(running.get(at)));
        IntStream.range(0, running.size()).filter(first.negate()).forEach(at -> threads.execute(running.get(at)));
        List<T> results = new ArrayList<>();
        for (Future<T> one : running) {
            // a file may take minutes: whether it is still wanted is asked meanwhile
            while (!ended(one)) {
                if (!goOn.test(done + results.size())) {
                    return null;
                }
            }
            results.add(result(one));
            if (!goOn.test(done + results.size())) {
                return null;
            }
        }
        return results;
    }

    private static boolean ended(Future<?> work) throws IOException {
        try {
            work.get(ASKED_EVERY_MILLIS, TimeUnit.MILLISECONDS);
            return true;
        } catch (TimeoutException notYet) {
            return false;
        } catch (ExecutionException failed) {
            return true;
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException("The delivery was stopped.", stopped);
        }
    }

    private static <T> T result(Future<T> work) throws IOException {
        try {
            return work.get();
        } catch (ExecutionException failed) {
            if (failed.getCause() instanceof IOException io) {
                throw io;
            }
            if (failed.getCause() instanceof RuntimeException unexpected) {
                throw unexpected;
            }
            throw new IllegalStateException(failed.getCause());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException("The delivery was stopped.", stopped);
        }
    }

    private Clip finished(ClipSource made, Double lufs) {
        Take take = made.take();
        if (take == null) {
            throw new NotFound("The kept take of cue " + made.cue().number() + " is gone. Render it again.");
        }
        StoredSpeech speech = speeches.find(take.speech()).orElseThrow();
        return finisher.finish(
                audio.source(take.sound()),
                speech.timed(),
                FinishSettings.to(lufs),
                made.cue().direction().loudnessDb());
    }

    /** Null where there is nothing to measure: silence has no loudness. */
    private static Measured measured(Clip clip) {
        return Double.isFinite(clip.loudness().lufs()) && Double.isFinite(clip.truePeakDbtp())
                ? new Measured(clip.loudness().lufs(), clip.truePeakDbtp())
                : null;
    }

    private Stored written(PartFile file, Delivered delivered, String madeOf, Measured measured) throws IOException {
        Path temporary = Files.createTempFile("logophon-delivered", ".part");
        try {
            Manifest.Entry entry;
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(temporary), 1 << 16)) {
                entry = FileWriting.write(file, delivered, out);
            } catch (UncheckedIOException failed) {
                throw failed.getCause();
            }
            transaction.executeWithoutResult(status -> store(entry.sha256(), temporary));
            return new Stored(entry, madeOf, measured);
        } finally {
            Files.deleteIfExists(temporary);
        }
    }

    private void store(String sha256, Path file) {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file), 1 << 16)) {
            files.store(sha256, in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
