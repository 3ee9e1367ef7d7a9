package org.logophon.cli.narrate;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.logophon.cli.ExitStatus;
import org.logophon.delivery.FileNames;
import org.logophon.delivery.Slug;
import org.logophon.direction.Direction;
import org.logophon.finish.FinishSettings;
import org.logophon.script.CueNumbers;
import org.logophon.speech.EspeakVoices;
import org.logophon.speech.WorkerPool;
import org.logophon.voice.Voice;
import org.logophon.voice.VoiceCatalogue;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** Script files to numbered clips and a cue sheet. */
@Command(name = "narrate", description = "Turns script files into numbered clips and a cue sheet.",
        mixinStandardHelpOptions = true)
public final class NarrateCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;
    @Parameters(paramLabel = "SCRIPT", arity = "1..*", description = "Script files, plain text or Markdown, UTF-8.")
    private List<Path> scripts;
    @Option(names = "--out", required = true, paramLabel = "DIR", description = "Folder to write to; made when missing.")
    private Path out;
    @Option(names = "--voice", paramLabel = "ID", defaultValue = EspeakVoices.DEFAULT_ID,
            description = "Voice of every role that --cast doesn't name (${DEFAULT-VALUE}).")
    private String voice;
    @Option(names = "--cast", paramLabel = "ROLE=ID", description = "Voice of a role; repeatable.")
    private Map<String, String> cast = new LinkedHashMap<>();
    @Option(names = "--pace", paramLabel = "PERCENT", description = "50 to 200; 100 is the voice's own.")
    private Integer pace;
    @Option(names = "--pitch", paramLabel = "SEMITONES", description = "-12 to 12.")
    private Double pitch;
    @Option(names = "--loudness", paramLabel = "DB", description = "-24 to 12, against the target.")
    private Double loudness;
    @Option(names = "--gap", paramLabel = "SECONDS", description = "Pause between cues in the cue sheet, 0 to 10 (0.4).")
    private Double gap;
    @Option(names = "--split", paramLabel = "WAY", defaultValue = "blank-line", description = "Where a cue ends: blank-line.")
    private String split;
    @Option(names = "--number-from", paramLabel = "N", defaultValue = "10", description = "First cue number (${DEFAULT-VALUE}).")
    private int numberFrom;
    @Option(names = "--number-step", paramLabel = "N", defaultValue = "10", description = "Step between numbers (${DEFAULT-VALUE}).")
    private int numberStep;
    @Option(names = "--number-width", paramLabel = "N", defaultValue = "3", description = "Digits at least (${DEFAULT-VALUE}).")
    private int numberWidth;
    @Option(names = "--name", paramLabel = "PATTERN", defaultValue = FileNames.DEFAULT_PATTERN,
            description = "File names, of {number}, {slug}, {role}, {voice}, {take}, {scene}, {project} (${DEFAULT-VALUE}).")
    private String name;
    @Option(names = "--target", paramLabel = "LUFS|off", defaultValue = "-19", description = "Loudness of the clips (${DEFAULT-VALUE}).")
    private String target;
    @Option(names = "--json", description = "Print one JSON object on standard output.")
    private boolean json;

    @Override
    public Integer call() throws IOException {
        NarrationPlan plan = plan();
        List<ScriptFile> files = new ArrayList<>();
        for (Path script : scripts) {
            files.add(ScriptFile.read(script));
        }
        Outcome outcome = new Outcome();
        try (WorkerPool pool = new WorkerPool(Math.max(1, Runtime.getRuntime().availableProcessors()))) {
            ClipMaker maker = new ClipMaker(pool, plan, outcome, spec.commandLine().getErr());
            for (ScriptFile file : files) {
                maker.make(file, files.size() == 1 ? out : out.resolve(folder(file, files)));
            }
        }
        if (json) {
            spec.commandLine().getOut().println(JsonMapper.builder().build().writerWithDefaultPrettyPrinter().writeValueAsString(outcome.fields()));
            spec.commandLine().getOut().flush();
        }
        if (outcome.failed() > 0) {
            spec.commandLine().getErr().println(outcome.failed() == 1 ? "1 cue failed; the others are written."
                    : outcome.failed() + " cues failed; the others are written.");
            return ExitStatus.CUE_FAILED;
        }
        return ExitStatus.DONE;
    }

    /** One folder a script, named after it; scripts of the same name get a number. */
    private static String folder(ScriptFile file, List<ScriptFile> files) {
        List<ScriptFile> alike = files.stream().filter(f -> Slug.of(f.name()).equals(Slug.of(file.name()))).toList();
        String base = Slug.of(file.name());
        return alike.size() == 1 ? base : base + "-" + (alike.indexOf(file) + 1);
    }

    private NarrationPlan plan() {
        if (!"blank-line".equals(split)) {
            throw usage("--split " + split + " is unknown; blank-line is the only way so far.");
        }
        VoiceCatalogue catalogue = EspeakVoices.catalogue();
        Map<String, Voice> voices = new LinkedHashMap<>();
        cast.forEach((role, id) -> voices.put(role.toLowerCase(java.util.Locale.ROOT), voice(catalogue, id)));
        try {
            Direction direction = new Direction(pace, pitch, loudness, gap == null ? null : (int) Math.round(gap * 1000));
            CueNumbers numbers = new CueNumbers(numberFrom, numberStep, numberWidth, "");
            new FileNames(name);
            return new NarrationPlan(voice(catalogue, voice), voices, direction, numbers, name, FinishSettings.to(targetLufs()));
        } catch (IllegalArgumentException e) {
            throw usage(e.getMessage());
        }
    }

    private Double targetLufs() {
        if ("off".equalsIgnoreCase(target)) {
            return null;
        }
        try {
            return Double.valueOf(target);
        } catch (NumberFormatException e) {
            throw usage("--target takes a loudness in LUFS or the word off, not " + target + ".");
        }
    }

    private Voice voice(VoiceCatalogue catalogue, String id) {
        return catalogue.find(id).orElseThrow(() ->
                usage("There is no voice " + id + ". ./logophon voices lists them."));
    }

    private ParameterException usage(String sentence) {
        return new ParameterException(spec.commandLine(), sentence);
    }
}
