package org.logophon.cli.recording;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.logophon.cli.input.ExitStatus;
import org.logophon.cli.input.InputUnusable;
import org.logophon.cli.input.UnusableOption;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.recording.Cleaning;
import org.logophon.core.voice.recording.RecordingFigures;
import org.logophon.speech.coding.FfmpegCleaner;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** Cleans a recording; the recording itself stays as it is. */
@Command(name = "clean", description = "Cleans a recording.", mixinStandardHelpOptions = true)
public final class CleanCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(
            paramLabel = "IN",
            description = "WAV, FLAC, MP3, M4A, Opus, OGG or a video's sound, ten minutes at most.")
    private Path in;

    @Option(names = "--out", required = true, paramLabel = "OUT", description = "A WAV file of 48 kHz and 24 bits.")
    private Path out;

    @Option(
            names = "--noise",
            defaultValue = "12",
            description = "Reduce room noise by, in dB (${DEFAULT-VALUE}; 0 for not).")
    private double noise;

    @Option(names = "--hum", defaultValue = "0", description = "Remove mains hum at 50 or 60 Hz.")
    private int hum;

    @Option(names = "--rumble", description = "Remove rumble below the voice.")
    private boolean rumble;

    @Option(names = "--clicks", description = "Clicks out.")
    private boolean clicks;

    @Option(names = "--clipped", description = "Repair clipping.")
    private boolean clipped;

    @Option(names = "--gaps", defaultValue = "0", description = "Shorten longer pauses to, in seconds.")
    private double gaps;

    @Option(names = "--json", description = "Print one JSON object: figures before and after.")
    private boolean json;

    record Report(String cleaning, RecordingFigures before, RecordingFigures after) {}

    @Override
    public Integer call() throws IOException {
        Cleaning cleaning;
        try {
            cleaning = new Cleaning(noise, hum, rumble, clicks, clipped, gaps);
        } catch (InvalidInput unusable) {
            throw new UnusableOption(unusable.getMessage());
        }
        Report report;
        try (RecordingFile recording = RecordingFile.open(in, spec.commandLine().getErr())) {
            if (recording.sound().length() > 600L * recording.sound().rate()) {
                throw new InputUnusable("Ten minutes are cleaned at once. Cut " + in.getFileName() + " into its cues.");
            }
            Sound sound = recording.whole();
            Sound made = new FfmpegCleaner().clean(sound, cleaning);
            RecordingFile.write(made, out);
            report = new Report(cleaning.words(), RecordingFigures.of(sound), RecordingFigures.of(made));
        }
        PrintWriter told = spec.commandLine().getOut();
        if (json) {
            told.println(JsonMapper.builder()
                    .build()
                    .writerWithDefaultPrettyPrinter()
                    .writeValueAsString(report));
        } else {
            told.printf(
                    java.util.Locale.ROOT,
                    "%s: noise %.1f → %.1f dB, level %.1f → %.1f LUFS, clicks %d → %d, longest gap %.2f → %.2f s%n",
                    out.getFileName(),
                    report.before().noiseDb(),
                    report.after().noiseDb(),
                    report.before().lufs(),
                    report.after().lufs(),
                    report.before().clicks(),
                    report.after().clicks(),
                    report.before().longestGap(),
                    report.after().longestGap());
        }
        told.flush();
        return ExitStatus.DONE;
    }
}
