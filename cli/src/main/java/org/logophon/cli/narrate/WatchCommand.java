package org.logophon.cli.narrate;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.logophon.cli.ExitStatus;
import org.logophon.cli.InputUnusable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import picocli.CommandLine.Unmatched;

/** Scripts that are put into a folder become clips beside them; one that changes is made again, and only what changed is rendered. */
@Command(
        name = "watch",
        description =
                "Makes clips of each script that is put into a folder, beside it, and again when it changes. All options of narrate but --out and --json hold.",
        mixinStandardHelpOptions = true)
public final class WatchCommand implements Callable<Integer> {

    private static final Set<String> ENDINGS = Set.of(
            "txt",
            "md",
            "markdown",
            "docx",
            "doc",
            "odt",
            "rtf",
            "pdf",
            "htm",
            "html",
            "xhtml",
            "srt",
            "vtt",
            "csv",
            "tsv",
            "ssml");
    private static final String DONE = ".done.txt";
    private static final String FAILED = ".failed.txt";
    private static final long LOOK_MILLIS = 1_000;
    /** A quarter of a gigabyte of samples. */
    private static final long MOST_KEPT_SAMPLES = 64L << 20;

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "FOLDER", description = "Where scripts are put.")
    private Path folder;

    @Option(names = "--once", description = "Make what isn't made yet, and end.")
    private boolean once;

    @Unmatched
    private List<String> asked = new ArrayList<>();

    private final UnaryOperator<CommandLine> settings;
    private final KeptSpeech kept = new KeptSpeech(MOST_KEPT_SAMPLES);
    private final CountDownLatch ended = new CountDownLatch(1);
    /** As each script was when it was looked at, and when it was made. */
    private final Map<Path, Looks> looked = new HashMap<>();

    private final Map<Path, Looks> made = new HashMap<>();

    /** @param settings that all commands have */
    public WatchCommand(UnaryOperator<CommandLine> settings) {
        this.settings = settings;
    }

    /** How a file looks from outside. */
    private record Looks(long bytes, long changedMillis) {}

    @Override
    public Integer call() throws IOException, InterruptedException {
        if (!Files.isDirectory(folder)) {
            throw new InputUnusable("There is no folder " + folder + ". Make it, and put scripts into it.");
        }
        if (asked.contains("--out")
                || asked.stream().anyMatch(word -> word.startsWith("--out="))
                || asked.contains("--json")) {
            throw new CommandLine.ParameterException(
                    spec.commandLine(), "Clips are written beside each script: --out and --json are for narrate.");
        }
        Runtime.getRuntime().addShutdownHook(new Thread(ended::countDown));
        spec.commandLine().getErr().println("Watching " + folder + ". Ctrl-C ends it.");
        do {
            for (Path script : settled()) {
                int status = make(script);
                if (status == ExitStatus.USAGE) {
                    return status;
                }
            }
        } while (!once && !ended.await(LOOK_MILLIS, TimeUnit.MILLISECONDS));
        return ExitStatus.DONE;
    }

    /** Scripts that are whole, as far as one can tell, and aren't made as they are now. */
    private List<Path> settled() throws IOException {
        List<Path> settled = new ArrayList<>();
        for (Path script : scripts()) {
            Looks now = looks(script);
            Looks before = looked.put(script, now);
            boolean whole = once || now != null && now.equals(before);
            if (now != null && whole && !now.equals(made.get(script)) && !toldSince(script, now)) {
                settled.add(script);
            }
        }
        return settled;
    }

    private List<Path> scripts() throws IOException {
        try (Stream<Path> all = Files.list(folder)) {
            return all.filter(file -> Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS))
                    .filter(WatchCommand::script)
                    .sorted()
                    .toList();
        }
    }

    private static boolean script(Path file) {
        String name = file.getFileName().toString();
        String lower = name.toLowerCase(Locale.ROOT);
        boolean ours = lower.endsWith(DONE) || lower.endsWith(FAILED);
        // hidden files, and those that editors keep beside the one that is open
        boolean hidden = name.startsWith(".") || name.startsWith("~");
        return !ours && !hidden && ENDINGS.contains(lower.substring(lower.lastIndexOf('.') + 1));
    }

    /** Null for one that has gone. */
    private static Looks looks(Path script) throws IOException {
        try {
            BasicFileAttributes attributes = Files.readAttributes(script, BasicFileAttributes.class);
            return new Looks(attributes.size(), attributes.lastModifiedTime().toMillis());
        } catch (NoSuchFileException gone) {
            return null;
        }
    }

    /** True where what is told of it is younger than it is: it was made before this began. */
    private boolean toldSince(Path script, Looks now) throws IOException {
        if (made.containsKey(script)) {
            return false;
        }
        for (String ending : List.of(DONE, FAILED)) {
            Looks told = looks(beside(script, ending));
            if (told != null && told.changedMillis() >= now.changedMillis()) {
                return true;
            }
        }
        return false;
    }

    private int make(Path script) throws IOException {
        made.put(script, looks(script));
        StringWriter said = new StringWriter();
        CommandLine narrate = settings.apply(new CommandLine(new NarrateCommand(kept)));
        narrate.setErr(new PrintWriter(said, true));
        List<String> words = new ArrayList<>(asked);
        words.add(script.toString());
        words.add("--out");
        words.add(clips(script).toString());
        int status = narrate.execute(words.toArray(String[]::new));
        if (status == ExitStatus.USAGE) {
            spec.commandLine().getErr().print(said.toString());
            spec.commandLine().getErr().flush();
            return status;
        }
        boolean done = status == ExitStatus.DONE;
        int rendered = kept.renderedSince();
        String first = done
                ? "Done: the clips are in " + clips(script).getFileName() + ". "
                        + (rendered == 1 ? "1 cue was rendered." : rendered + " cues were rendered.")
                : "Not done. What was made before stays.";
        tell(
                script,
                done ? DONE : FAILED,
                first + "\n" + LocalDateTime.now().truncatedTo(ChronoUnit.SECONDS) + "\n\n" + said);
        Files.deleteIfExists(beside(script, done ? FAILED : DONE));
        spec.commandLine().getErr().println(script.getFileName() + ": " + first);
        return status;
    }

    /** Whole or not there. */
    private static void tell(Path script, String ending, String words) throws IOException {
        Path part = script.resolveSibling("." + script.getFileName() + ending + ".part");
        Files.writeString(part, words);
        Files.move(part, beside(script, ending), StandardCopyOption.REPLACE_EXISTING);
    }

    private static Path beside(Path script, String ending) {
        return script.resolveSibling(script.getFileName() + ending);
    }

    /** By its name without its ending; by all of it where another script is called so, too. */
    private Path clips(Path script) throws IOException {
        String base = base(script);
        boolean alone =
                scripts().stream().filter(other -> base(other).equals(base)).count() < 2;
        return folder.resolve(alone ? base : script.getFileName() + " clips");
    }

    private static String base(Path script) {
        String name = script.getFileName().toString();
        return name.substring(0, name.lastIndexOf('.'));
    }
}
