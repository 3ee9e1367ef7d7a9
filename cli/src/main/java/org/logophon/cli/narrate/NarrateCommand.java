package org.logophon.cli.narrate;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IllformedLocaleException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import org.logophon.cli.input.ExitStatus;
import org.logophon.cli.input.InputUnusable;
import org.logophon.cli.input.ScriptFile;
import org.logophon.cli.input.ScriptOptions;
import org.logophon.cli.recording.RecordedCues;
import org.logophon.core.delivery.FileNames;
import org.logophon.core.delivery.Slug;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.style.Style;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.TypedNumber;
import org.logophon.core.text.reading.ReadingList;
import org.logophon.core.voice.finish.ClipFinisher;
import org.logophon.core.voice.finish.FinishSettings;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.SpokenSounds;
import org.logophon.speech.Engines;
import org.logophon.speech.LanguageSounds;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;
import org.logophon.speech.hired.HiredEngine;
import org.logophon.speech.hired.HiredRequest;
import org.logophon.speech.hired.HiredService;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** Script files to numbered clips and a cue sheet. */
@Command(
        name = "narrate",
        description = "Turns script files into numbered clips and a cue sheet.",
        mixinStandardHelpOptions = true)
public final class NarrateCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(
            paramLabel = "SCRIPT",
            arity = "1..*",
            description = "Scripts: text, Markdown, docx, odt, rtf, pdf, html, SRT, WebVTT, CSV or SSML.")
    private List<Path> scripts;

    @Option(
            names = "--out",
            required = true,
            paramLabel = "DIR",
            description = "Folder to write to; made when missing.")
    private Path out;

    @Mixin
    private ScriptOptions options;

    @Option(
            names = "--language",
            paramLabel = "TAG",
            description = "Language of the script, as in en-GB; the voice's own where none is given.")
    private String language;

    @Option(names = "--pace", paramLabel = "PERCENT", description = "50 to 200; 100 is the voice's own.")
    private Integer pace;

    @Option(names = "--pitch", paramLabel = "SEMITONES", description = "-12 to 12.")
    private Double pitch;

    @Option(names = "--range", paramLabel = "PERCENT", description = "0 (monotone) to 200; 100 is the voice's own.")
    private Integer range;

    @Option(
            names = "--style",
            paramLabel = "WORD",
            description = "A way of speaking: happy, excited, friendly, calm, serious, sad, angry, afraid, tender, "
                    + "sarcastic, whispering, shouting, storyteller, newsreader, teacher, trailer, or one of the "
                    + "voice's own.")
    private String style;

    @Option(
            names = "--phrasing",
            paramLabel = "PERCENT",
            defaultValue = "100",
            description = "How much of the phrasing by signs and words is heard, 0 (as the engine gives it) to 150 "
                    + "(${DEFAULT-VALUE}).")
    private int phrasing;

    @Option(names = "--loudness", paramLabel = "DB", description = "-24 to 12, against the target.")
    private Double loudness;

    @Option(
            names = "--gap",
            paramLabel = "SECONDS",
            description = "Pause between cues in the cue sheet, 0 to 10 (0.4).")
    private Double gap;

    @Option(
            names = {"--name", "--names"},
            paramLabel = "PATTERN",
            defaultValue = FileNames.DEFAULT_PATTERN,
            description = "File names, of {number}, {slug}, {role}, {voice}, {take}, {scene}, {project} "
                    + "(${DEFAULT-VALUE}); a slash makes a folder.")
    private String name;

    @Option(
            names = "--target",
            paramLabel = "LUFS|off",
            defaultValue = "-19",
            description = "Loudness of the clips (${DEFAULT-VALUE}).")
    private String target;

    @Mixin
    private PictureOptions picture;

    @Mixin
    private DeliverOptions delivery;

    @Option(names = "--allow-charges", description = "Allow charges for hired voices; without it they are refused.")
    private boolean allowCharges;

    @Option(
            names = "--recordings",
            paramLabel = "FOLDER",
            description = "Recordings of cues, with their numbers in their names: they are taken instead of a voice.")
    private Path recordings;

    @Option(names = "--json", description = "Print one JSON object on standard output.")
    private boolean json;

    private final KeptSpeech kept;

    public NarrateCommand() {
        this(new KeptSpeech(0));
    }

    /** @param kept what was spoken before, for who narrates the same again */
    NarrateCommand(KeptSpeech kept) {
        this.kept = kept;
    }

    @Override
    public Integer call() throws IOException {
        Outcome outcome = new Outcome();
        List<String> warnings = new ArrayList<>();
        NarrationPlan plan = plan(options.readings(warnings));
        PictureOptions.Picture asked = picture();
        DeliverOptions.Deliver deliver = delivery.read();
        options.own().warnings().forEach(spec.commandLine().getErr()::println);
        warnings.addAll(options.own().warnings());
        warnings.forEach(outcome::warning);
        plan.voices().stream()
                .filter(voice -> !voice.terms().free() && !allowCharges)
                .findFirst()
                .ifPresent(voice -> {
                    throw usage(voice.name() + " is a hired voice and costs "
                            + voice.terms().pricePerCharacter().toPlainString() + " "
                            + voice.terms().currency()
                            + " a character. Add --allow-charges to pay for it, or cast another voice.");
                });
        try (WorkerPool pool = new WorkerPool(Math.max(1, Runtime.getRuntime().availableProcessors()))) {
            // one process starts while the scripts are read, the others when there is work for them
            pool.early(1);
            List<ScriptFile> files = read(plan, outcome);
            options.unknownRoles(files.stream()
                            .flatMap(file -> file.script().roles().stream())
                            .toList())
                    .forEach(sentence -> {
                        outcome.warning(sentence);
                        spec.commandLine().getErr().println(sentence);
                    });
            NarrationPlan sounding = plan.with(new LanguageSounds(pool));
            affordable(plan, files);
            if (files.stream().mapToInt(file -> file.script().cues().size()).sum() > 1) {
                pool.early(Runtime.getRuntime().availableProcessors() - 1);
            }
            HiredService hired = options.hired().service();
            Engines engines = new Engines(
                    pool,
                    hired == null ? null : new HiredEngine(hired, outcome),
                    options.own().engines());
            RecordedCues recorded = recordings == null
                    ? null
                    : new RecordedCues(recordings, pool, spec.commandLine().getErr());
            CueMaker cues = new CueMaker(
                    new Narrator(engines, new WorkerResampler(pool)),
                    new ClipFinisher(new WorkerResampler(pool)),
                    sounding,
                    recorded,
                    kept);
            ClipMaker maker = new ClipMaker(
                    cues,
                    pool,
                    sounding,
                    outcome,
                    asked,
                    deliver,
                    spec.commandLine().getErr());
            for (ScriptFile file : files) {
                maker.make(file, files.size() == 1 ? out : out.resolve(folder(file, files)));
            }
        }
        if (json) {
            spec.commandLine()
                    .getOut()
                    .println(JsonMapper.builder()
                            .build()
                            .writerWithDefaultPrettyPrinter()
                            .writeValueAsString(outcome.report()));
            spec.commandLine().getOut().flush();
        }
        if (outcome.failed() > 0) {
            spec.commandLine()
                    .getErr()
                    .println(
                            outcome.failed() == 1
                                    ? "1 cue failed; the others are written."
                                    : outcome.failed() + " cues failed; the others are written.");
            return ExitStatus.FAILED;
        }
        return ExitStatus.DONE;
    }

    private PictureOptions.Picture picture() throws IOException {
        try {
            return picture.read();
        } catch (InvalidInput wrong) {
            throw new InputUnusable(wrong.getMessage());
        }
    }

    private List<ScriptFile> read(NarrationPlan plan, Outcome outcome) throws IOException {
        List<ScriptFile> files = new ArrayList<>();
        for (Path script : scripts) {
            ScriptFile file = ScriptFile.read(
                    script,
                    options.splitting(plan.direction()),
                    options.numbers(),
                    plan.voice().language());
            file.remarks().forEach(remark -> outcome.warning(file.name() + ": " + remark));
            files.add(file);
        }
        return files;
    }

    /** Says what the hired voices will cost, and refuses before anything is paid when the allowance doesn't reach. */
    private void affordable(NarrationPlan plan, List<ScriptFile> files) {
        Map<String, Integer> requests = new HashMap<>();
        BigDecimal price = BigDecimal.ZERO;
        String currency = "";
        for (ScriptFile file : files) {
            for (int i = 0; i < file.script().cues().size(); i++) {
                for (HiredRequest request : HiredRequest.of(plan.recipe(file, i, any -> ""))) {
                    // the same words are asked for, and paid, once
                    if (requests.put(request.key(), request.characters()) == null) {
                        currency = request.voice().terms().currency();
                        price = price.add(request.voice()
                                .terms()
                                .pricePerCharacter()
                                .multiply(BigDecimal.valueOf(request.characters())));
                    }
                }
            }
        }
        long characters =
                requests.values().stream().mapToLong(Integer::longValue).sum();
        if (characters == 0) {
            return;
        }
        long left = options.hired().allowance().left();
        if (characters > left) {
            throw new InputUnusable(
                    ("These scripts have %,d characters for hired voices, and %,d are left this month. Cast "
                                    + "fewer roles with hired voices, or wait for the next month.")
                            .formatted(characters, left));
        }
        spec.commandLine()
                .getErr()
                .printf(
                        "Hired voices: %,d characters at most, %s %s; %,d are left this month before it.%n",
                        characters, price.toPlainString(), currency, left);
        spec.commandLine().getErr().flush();
    }

    /** One folder a script, named after it; scripts of the same name get a number. */
    private static String folder(ScriptFile file, List<ScriptFile> files) {
        List<ScriptFile> alike = files.stream()
                .filter(f -> Slug.of(f.name()).equals(Slug.of(file.name())))
                .toList();
        String base = Slug.of(file.name());
        return alike.size() == 1 ? base : base + "-" + (alike.indexOf(file) + 1);
    }

    private String language() {
        if (language == null) {
            return options.voice().language();
        }
        try {
            return new Locale.Builder().setLanguageTag(language).build().toLanguageTag();
        } catch (IllformedLocaleException unknown) {
            throw new IllegalArgumentException(
                    "--language is a language tag, as in en-GB, and " + language + " is none.", unknown);
        }
    }

    private NarrationPlan plan(ReadingList readings) {
        try {
            Direction direction = new Direction(
                    pace,
                    pitch,
                    range,
                    loudness,
                    gap == null ? null : (int) Math.round(gap * 1000),
                    null,
                    null,
                    style,
                    null,
                    phrasing);
            refuseUnknownStyle();
            new FileNames(name);
            return new NarrationPlan(
                    options.voice(),
                    language(),
                    options.cast(),
                    direction,
                    readings,
                    name,
                    FinishSettings.to(targetLufs()),
                    SpokenSounds.NONE);
        } catch (IllegalArgumentException e) {
            throw usage(e.getMessage());
        }
    }

    private void refuseUnknownStyle() {
        List<String> own = options.cast().values().stream()
                .flatMap(voice -> voice.styles().stream())
                .toList();
        if (style != null
                && Style.named(style).isEmpty()
                && !own.contains(style)
                && !options.voice().styles().contains(style)) {
            throw usage("There is no style “" + style + "”. Choose one of " + Style.words() + ".");
        }
    }

    private Double targetLufs() {
        if ("off".equalsIgnoreCase(target)) {
            return null;
        }
        try {
            Double lufs = TypedNumber.read("--target", target);
            if (lufs != null) {
                return lufs;
            }
        } catch (InvalidInput unusable) {
            throw usage(unusable.getMessage() + " It takes a loudness in LUFS, or the word off.");
        }
        throw usage("--target takes a loudness in LUFS or the word off.");
    }

    private ParameterException usage(String sentence) {
        return new ParameterException(spec.commandLine(), sentence);
    }
}
