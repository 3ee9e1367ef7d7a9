package org.logophon.cli.bench;

import java.io.BufferedOutputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.wav.BroadcastExtension;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.finish.Clip;
import org.logophon.core.voice.finish.ClipFinisher;
import org.logophon.core.voice.finish.FinishSettings;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.speech.Engines;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;

/**
 * Forty cues of seventy words, to finished 48 kHz/24-bit clips with word times: the work alone in a warm process, and
 * as the whole {@code narrate} command from its first byte to its last.
 */
final class RenderBench {

    /** Of the engine that it is held against. */
    private static final String VOICE = "isla";

    private static final int CUES = 40;
    private static final int WORDS = 70;
    private static final int ROUNDS = 3;
    private static final String LOUDNORM = "espeak-ng + ffmpeg loudnorm, a process a clip";
    private static final String SOX = "espeak-ng + sox norm, a process a clip";
    private static final String[] SENTENCES = {
        "At the top of Skerrow Head stands a lamp that has not been lit for many years.",
        "Its lens is so finely balanced that a child could turn it with one hand.",
        "The crew have one tide to lift it out, and the sling is rated for a little more.",
        "Each prism is cleaned with distilled water, wrapped in paper, numbered, and laid in a crate.",
        "By autumn the brass is bright again, and the bearing turns without a sound."
    };

    private final Path folder;
    private final LaunchedCommand command;
    private final List<String> cues = new ArrayList<>();

    /** @param command null leaves the whole process out */
    RenderBench(Path folder, LaunchedCommand command) {
        this.folder = folder;
        this.command = command;
        for (int i = 0; i < CUES; i++) {
            StringBuilder cue = new StringBuilder();
            for (int s = i; cue.toString().split(" ").length < WORDS; s++) {
                cue.append(cue.isEmpty() ? "" : " ").append(SENTENCES[s % SENTENCES.length]);
            }
            cues.add(cue.toString());
        }
    }

    List<BenchResult> run() throws Exception {
        double ours = Double.MAX_VALUE;
        double process = Double.MAX_VALUE;
        double sox = Double.MAX_VALUE;
        Path script = Files.writeString(folder.resolve("forty.md"), String.join("\n\n", cues));
        try (WorkerPool pool = new WorkerPool(Runtime.getRuntime().availableProcessors())) {
            Tool.seconds(ours(pool));
            // in turn, and the best of each: a machine that slows down meanwhile slows both
            for (int round = 0; round < ROUNDS; round++) {
                if (command != null) {
                    process = Math.min(process, command.narrate(script, CUES));
                }
                ours = Math.min(ours, Tool.seconds(ours(pool)));
                sox = Math.min(sox, Tool.seconds(sox()));
            }
        }
        double loudnorm = Tool.seconds(loudnorm());
        String what = CUES + " cues of " + WORDS + " words, finished";
        List<BenchResult> rows = new ArrayList<>(List.of(
                new BenchResult(what, LOUDNORM, ours, loudnorm, "s", 8),
                new BenchResult(what, SOX, ours, sox, "s", 1)));
        if (command != null) {
            String whole = "narrate, " + CUES + " cues, the whole process";
            rows.add(new BenchResult(whole, LOUDNORM, process, loudnorm, "s", 10));
            rows.add(new BenchResult(whole, SOX, process, sox, "s", 1.3));
        }
        return rows;
    }

    private List<Callable<Void>> ours(WorkerPool pool) {
        Narrator narrator = new Narrator(new Engines(pool), new WorkerResampler(pool));
        ClipFinisher finishing = new ClipFinisher(new WorkerResampler(pool));
        Voice voice = NativeVoices.catalogue().find(VOICE).orElseThrow();
        List<Callable<Void>> work = new ArrayList<>();
        for (int i = 0; i < CUES; i++) {
            int at = i;
            work.add(() -> {
                Recipe recipe =
                        Recipe.of(cues.get(at), voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL);
                Clip clip = finishing.finish(
                        narrator.render(recipe), FinishSettings.to(FinishSettings.DEFAULT_TARGET_LUFS), 0);
                try (OutputStream out = new BufferedOutputStream(
                        Files.newOutputStream(folder.resolve("ours-" + at + ".wav")), 1 << 16)) {
                    WavWriter.write(
                            clip.sound(),
                            SampleFormat.PCM_24,
                            new BroadcastExtension(
                                    cues.get(at),
                                    "c" + at,
                                    LocalDateTime.now(),
                                    0,
                                    clip.loudness().lufs(),
                                    clip.truePeakDbtp()),
                            out);
                }
                return null;
            });
        }
        return work;
    }

    private List<Callable<Void>> sox() {
        return tool("sox", (raw, out) -> List.of("sox", raw, "-r", "48000", "-b", "24", out, "norm", "-1"));
    }

    private List<Callable<Void>> loudnorm() {
        return tool(
                "loudnorm",
                (raw, out) -> List.of(
                        "ffmpeg",
                        "-v",
                        "error",
                        "-y",
                        "-i",
                        raw,
                        "-af",
                        "loudnorm=I=-19:TP=-1",
                        "-ar",
                        "48000",
                        "-c:a",
                        "pcm_s24le",
                        out));
    }

    private interface Finish {
        List<String> command(String raw, String out);
    }

    private List<Callable<Void>> tool(String name, Finish finish) {
        List<Callable<Void>> work = new ArrayList<>();
        for (int i = 0; i < CUES; i++) {
            int at = i;
            work.add(() -> {
                String raw = Tool.path(folder, name + "-raw-" + at + ".wav");
                Tool.run(List.of("espeak-ng", "-v", "en-gb", "-w", raw, cues.get(at)));
                Tool.run(finish.command(raw, Tool.path(folder, name + "-" + at + ".wav")));
                return null;
            });
        }
        return work;
    }
}
