package org.logophon.cli.recording;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Function;
import org.logophon.cli.input.ExitStatus;
import org.logophon.cli.input.InputUnusable;
import org.logophon.cli.input.OwnEngines;
import org.logophon.cli.input.ScriptFile;
import org.logophon.cli.input.UnusableOption;
import org.logophon.cli.recording.HeldScript.HeldCue;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.text.script.CueNumbers;
import org.logophon.core.text.script.Splitting;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.recording.Recorded;
import org.logophon.core.voice.recording.RecordedEngine;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.WordTime;
import org.logophon.speech.Engines;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** Lets another voice say a recording, in its timing and melody. */
@Command(
        name = "recast",
        description = "Re-voices a recording: another voice, the same timing and melody.",
        mixinStandardHelpOptions = true)
public final class RecastCommand implements Callable<Integer> {

    private static final int RATE = 48_000;

    @Spec
    private CommandSpec spec;

    @Parameters(index = "0", paramLabel = "AUDIO", description = "WAV, FLAC, MP3, M4A, Opus, OGG or a video's sound.")
    private Path audio;

    @Parameters(index = "1", paramLabel = "SCRIPT", description = "What is said in it.")
    private Path script;

    @Option(names = "--voice", required = true, paramLabel = "ID", description = "The voice that says it.")
    private String voice;

    @Option(
            names = "--timing",
            defaultValue = "100",
            description = "How much of its timing, 0–100 %% (${DEFAULT-VALUE}).")
    private int timing;

    @Option(
            names = "--melody",
            defaultValue = "100",
            description = "How much of its melody, 0–100 %% (${DEFAULT-VALUE}).")
    private int melody;

    @Option(names = "--recorded-pitch", description = "At the recording's own pitch instead of the voice's.")
    private boolean recordedPitch;

    @Option(names = "--out", required = true, paramLabel = "OUT", description = "A WAV file of 48 kHz and 24 bits.")
    private Path out;

    @Option(names = "--json", description = "Print one JSON object: when each word sounds.")
    private boolean json;

    record WordEntry(String cue, String word, double startSeconds, double endSeconds) {}

    record Report(String voice, double seconds, List<WordEntry> words) {}

    @Override
    public Integer call() throws IOException {
        OwnEngines own = OwnEngines.of(System.getenv());
        Function<String, Optional<Voice>> voices = id -> NativeVoices.catalogue()
                .find(id)
                .or(() -> own.voices().stream()
                        .filter(other -> other.id().equals(id))
                        .findFirst());
        Voice found = voices.apply(voice)
                .orElseThrow(() -> new InputUnusable(
                        "There is no voice “" + voice + "”. ./logophon voices lists those that there are."));
        if (timing < 0 || timing > 100 || melody < 0 || melody > 100) {
            throw new UnusableOption("--timing and --melody go from 0 to 100.");
        }
        ScriptFile file = ScriptFile.read(script, Splitting.DEFAULT, CueNumbers.DEFAULT, found.language());
        List<WordEntry> words = new ArrayList<>();
        Sound made;
        try (RecordingFile recording =
                        RecordingFile.open(audio, spec.commandLine().getErr());
                WorkerPool pool = new WorkerPool(Runtime.getRuntime().availableProcessors())) {
            Engines engines = new Engines(pool, null, own.engines());
            Resampler resampler = new WorkerResampler(pool);
            List<HeldCue> held = HeldScript.of(recording, file, found.language(), pool);
            if (held.isEmpty()) {
                throw new InputUnusable("None of the script's words was found in " + audio.getFileName()
                        + ". Is it a recording of this script?");
            }
            float[] all = new float[0];
            for (HeldCue cue : held) {
                Speech speech = recast(cue, engines, resampler, voices);
                double begins = cue.fromSeconds()
                        + cue.held().words().get(0).startSample()
                                / (double) cue.sound().rate()
                        - speech.words().get(0).startSample()
                                / (double) speech.sound().rate();
                Sound laid = resampler.resample(speech.sound(), RATE);
                int from = Math.max(all.length, (int) Math.round(Math.max(0, begins) * RATE));
                all = java.util.Arrays.copyOf(all, from + laid.samples().length);
                System.arraycopy(laid.samples(), 0, all, from, laid.samples().length);
                for (WordTime word : speech.words()) {
                    words.add(new WordEntry(
                            file.numbers().get(cue.cue()),
                            cue.text().substring(word.start(), word.end()),
                            from / (double) RATE
                                    + word.startSample()
                                            / (double) speech.sound().rate(),
                            from / (double) RATE
                                    + word.endSample() / (double) speech.sound().rate()));
                }
            }
            made = new Sound(all, RATE);
        }
        RecordingFile.write(made, out);
        PrintWriter told = spec.commandLine().getOut();
        if (json) {
            told.println(JsonMapper.builder()
                    .build()
                    .writerWithDefaultPrettyPrinter()
                    .writeValueAsString(new Report(found.id(), made.seconds(), words)));
        } else {
            told.printf(java.util.Locale.ROOT, "%s: %s, %.2f s%n", out.getFileName(), found.name(), made.seconds());
        }
        told.flush();
        return ExitStatus.DONE;
    }

    private Speech recast(HeldCue cue, Engines engines, Resampler resampler, Function<String, Optional<Voice>> voices) {
        Recorded recorded = new Recorded(
                cue.sound(), cue.text(), cue.held().words(), cue.held().phones());
        Narrator narrator = new Narrator(
                new RecordedEngine(engines, new Narrator(engines, resampler), id -> Optional.of(recorded), voices),
                resampler);
        Voice as = new RecordedVoice("recording", "", voice, timing, melody, !recordedPitch)
                .asVoice(voices)
                .orElseThrow(() -> new InputUnusable(
                        "The voice “" + voice + "” whispers or costs something, and can't follow a recording."));
        return narrator.render(Recipe.of(cue.text(), as, narrator.engineVersion(as), ResolvedDirection.NEUTRAL));
    }
}
