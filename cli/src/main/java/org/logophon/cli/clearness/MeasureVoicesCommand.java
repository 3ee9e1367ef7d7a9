package org.logophon.cli.clearness;

import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import org.logophon.cli.input.ExitStatus;
import org.logophon.cli.input.InputUnusable;
import org.logophon.cli.input.OwnEngines;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.input.TypedNumber;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.Clearness;
import org.logophon.core.voice.figures.ClearnessPassage;
import org.logophon.core.voice.figures.VoiceFigures;
import org.logophon.core.voice.figures.VoiceMeter;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.speech.Engines;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;
import org.logophon.speech.heard.Recogniser;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Lets English voices read a passage to a recogniser, and writes down how many of its words were found. */
@Command(
        name = "measure-voices",
        description = "Measures how many words of a passage a recogniser finds, voice by voice.",
        mixinStandardHelpOptions = true)
public final class MeasureVoicesCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Option(names = "--voice", paramLabel = "ID", description = "Only this voice; repeatable.")
    private List<String> only = List.of();

    @Option(
            names = "--try",
            paramLabel = "ID,PACE,SEMITONES,RANGE,TIMBRE",
            description = "A tuning of a voice that isn't a voice yet, as marnie,95,-3,110,-1.5; repeatable.")
    private List<String> tries = List.of();

    @Option(names = "--out", paramLabel = "FILE", description = "Where the table goes; beside what is printed.")
    private Path file;

    @Option(
            names = "--keep",
            description = "Keep the figures in the data folder: Cast shows them after the next start of Logophon.")
    private boolean keep;

    @Option(
            names = "--rates",
            paramLabel = "FILE",
            description = "Write how fast the built-in voices speak, and measure nothing else.")
    private Path rates;

    @Option(
            names = "--phrasing",
            paramLabel = "PERCENT",
            defaultValue = "0",
            description =
                    "Read the passage with so much phrasing, 0 to 150; ${DEFAULT-VALUE} by default: as the engine "
                            + "gives it.")
    private int phrasing;

    private final OwnEngines own = OwnEngines.of(System.getenv());

    private record Measured(Voice voice, Clearness clearness, VoiceFigures figures) {}

    @Override
    public Integer call() throws Exception {
        PrintWriter out = spec.commandLine().getOut();
        if (rates != null) {
            Files.writeString(rates, SpeakingRatesMeasured.table(only));
            return ExitStatus.DONE;
        }
        String tool = Recogniser.version();
        List<Voice> voices = chosen();
        int cores = Runtime.getRuntime().availableProcessors();
        Path folder = Files.createTempDirectory("logophon-clearness");
        ExecutorService readers = Executors.newFixedThreadPool(cores);
        StringBuilder table = new StringBuilder("# " + tool + "\n# voice\twords found\tof\n");
        try (WorkerPool pool = new WorkerPool(cores)) {
            Narrator narrator = new Narrator(new Engines(pool, null, own.engines()), new WorkerResampler(pool));
            List<Future<Measured>> all = new ArrayList<>();
            for (Voice voice : voices) {
                all.add(readers.submit(() -> measure(narrator, new WorkerResampler(pool), voice, folder)));
            }
            for (Future<Measured> one : all) {
                Measured measured = one.get();
                out.println(line(measured));
                out.flush();
                table.append("%s\t%d\t%d\n"
                        .formatted(
                                measured.voice().id(),
                                measured.clearness().found(),
                                measured.clearness().of()));
            }
        } finally {
            readers.shutdownNow();
            Files.delete(folder);
        }
        if (file != null) {
            Files.writeString(file, table);
        }
        if (keep) {
            keep(table.toString());
        }
        return ExitStatus.DONE;
    }

    /** Figures of before stay, unless a voice was measured again. */
    private static void keep(String table) throws IOException {
        String folder = System.getenv("LOGOPHON_CLEARNESS");
        if (folder == null || folder.isBlank()) {
            throw new InputUnusable("There is no data folder to keep figures in. Use --out FILE.");
        }
        Path kept = Path.of(folder);
        Map<String, String> byVoice = new LinkedHashMap<>();
        String before = Files.exists(kept) ? Files.readString(kept) : "";
        Stream.concat(before.lines(), table.lines()).forEach(line -> byVoice.put(line.split("\t")[0], line));
        Files.createDirectories(kept.toAbsolutePath().getParent());
        Files.writeString(kept, String.join("\n", byVoice.values()) + "\n");
    }

    private List<Voice> chosen() {
        List<Voice> voices = new ArrayList<>();
        if (only.isEmpty() && tries.isEmpty()) {
            Stream.concat(NativeVoices.catalogue().all().stream(), own.voices().stream())
                    .filter(voice -> voice.language().startsWith("en"))
                    .forEach(voices::add);
        }
        only.forEach(id -> voices.add(voice(id)));
        for (String typed : tries) {
            String[] parts = typed.split(",");
            if (parts.length != 5) {
                throw new InputUnusable(
                        "--try wants a voice, a pace, a pitch, a range and a timbre, as marnie,95,-3,110,-1.5.");
            }
            Voice base = voice(parts[0]);
            Tuning tuning = new Tuning(
                    (int) Math.round(TypedNumber.required("The pace", parts[1])),
                    TypedNumber.required("The pitch", parts[2]),
                    (int) Math.round(TypedNumber.required("The range", parts[3])),
                    TypedNumber.required("The timbre", parts[4]),
                    null,
                    0);
            voices.add(base.as(typed, typed, base.gender(), base.age(), List.of(), tuning));
        }
        return voices;
    }

    private Voice voice(String id) {
        return NativeVoices.catalogue()
                .find(id)
                .or(() -> own.voices().stream()
                        .filter(voice -> voice.id().equals(id))
                        .findFirst())
                .orElseThrow(() -> new InputUnusable("There is no voice " + id + ". ./logophon voices lists them."));
    }

    private Measured measure(Narrator narrator, WorkerResampler resampler, Voice voice, Path folder)
            throws IOException, InterruptedException {
        Path wav = Files.createTempFile(folder, "voice", ".wav");
        try {
            Dial.PHRASING.check(phrasing);
            Recipe recipe = Recipe.of(
                            ClearnessPassage.TEXT, voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL)
                    .phrased(phrasing);
            Sound heard = resampler.resample(narrator.render(recipe).sound(), Recogniser.RATE);
            try (OutputStream out = Files.newOutputStream(wav)) {
                WavWriter.write(heard, SampleFormat.PCM_16, null, out);
            }
            return new Measured(
                    voice,
                    Clearness.of(ClearnessPassage.TEXT, Recogniser.hear(wav)),
                    VoiceMeter.measure(narrator, voice));
        } catch (SpeechFailed mute) {
            throw new InputUnusable(voice.name() + " can't read the passage: " + mute.getMessage());
        } finally {
            Files.delete(wav);
        }
    }

    private static String line(Measured measured) {
        VoiceFigures figures = measured.figures();
        return String.format(
                Locale.ROOT,
                "%-32s missed %5.1f %%   %4.0f Hz, %4.1f st, %4.0f wpm, brightness %5.0f Hz",
                measured.voice().id(),
                measured.clearness().missedPercent(),
                figures.medianPitchHz() == null ? Double.NaN : figures.medianPitchHz(),
                figures.pitchRangeSemitones() == null ? Double.NaN : figures.pitchRangeSemitones(),
                figures.wordsPerMinute(),
                figures.brightnessHz());
    }
}
