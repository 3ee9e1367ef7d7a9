package org.logophon.cli.narrate;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.UnaryOperator;
import org.logophon.cli.input.ExitStatus;
import org.logophon.cli.input.InputUnusable;
import org.logophon.core.input.InvalidInput;
import org.logophon.documents.WatchedScript;
import org.logophon.documents.WatchedScript.Looks;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import picocli.CommandLine.Unmatched;

/**
 * Scripts that are put into a folder become clips beside them; one that changes is made again, and only what changed is
 * rendered.
 */
@Command(
        name = "watch",
        description = "Makes clips of each script that is put into a folder, beside it, and again when it "
                + "changes. All options of narrate but --out and --json hold.",
        mixinStandardHelpOptions = true)
public final class WatchCommand implements Callable<Integer> {

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
    private final Map<WatchedScript, Looks> looked = new HashMap<>();

    private final Map<WatchedScript, Looks> made = new HashMap<>();

    /** @param settings that all commands have */
    public WatchCommand(UnaryOperator<CommandLine> settings) {
        this.settings = settings;
    }

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
            for (WatchedScript script : settled()) {
                int status = make(script);
                if (status == ExitStatus.USAGE) {
                    return status;
                }
            }
        } while (!once && !ended.await(LOOK_MILLIS, TimeUnit.MILLISECONDS));
        return ExitStatus.DONE;
    }

    /** Scripts that are whole, as far as one can tell, and aren't made as they are now. */
    private List<WatchedScript> settled() throws IOException {
        List<WatchedScript> settled = new ArrayList<>();
        for (WatchedScript script : WatchedScript.in(folder)) {
            Looks now = script.looks();
            Looks before = looked.put(script, now);
            if (now != null && (once || now.equals(before)) && !known(script, now)) {
                settled.add(script);
            }
        }
        return settled;
    }

    /** What was made before this began is told beside it. */
    private boolean known(WatchedScript script, Looks now) throws IOException {
        return made.containsKey(script) ? now.equals(made.get(script)) : script.toldSince(now);
    }

    /** Each script stands for itself: what is in the way of one is told, and the others are made. */
    private int make(WatchedScript script) throws IOException {
        try {
            return makeBeside(script);
        } catch (InvalidInput | IOException inTheWay) {
            String sentence = inTheWay instanceof InvalidInput
                    ? inTheWay.getMessage()
                    : "Nothing can be written beside it. Give Logophon the right to, and save the script again.";
            spec.commandLine().getErr().println(script.name() + ": " + sentence);
            try {
                script.tell(false, "Not done. " + sentence + "\n");
            } catch (InvalidInput | IOException alsoThere) {
                spec.commandLine().getErr().println(script.name() + ": it can't be told beside it either.");
            }
            return ExitStatus.FAILED;
        }
    }

    private int makeBeside(WatchedScript script) throws IOException {
        made.put(script, script.looks());
        Path clips = script.clips();
        StringWriter said = new StringWriter();
        CommandLine narrate = settings.apply(new CommandLine(new NarrateCommand(kept)));
        narrate.setErr(new PrintWriter(said, true));
        List<String> words = new ArrayList<>(asked);
        words.add(script.file().toString());
        words.add("--out");
        words.add(clips.toString());
        int status = narrate.execute(words.toArray(String[]::new));
        if (status == ExitStatus.USAGE) {
            spec.commandLine().getErr().print(said.toString());
            spec.commandLine().getErr().flush();
            return status;
        }
        boolean done = status == ExitStatus.DONE;
        int rendered = kept.renderedSince();
        String first = done
                ? "Done: the clips are in " + clips.getFileName() + ". "
                        + (rendered == 1 ? "1 cue was rendered." : rendered + " cues were rendered.")
                : "Not done. What was made before stays.";
        script.tell(done, first + "\n" + LocalDateTime.now().truncatedTo(ChronoUnit.SECONDS) + "\n\n" + said);
        spec.commandLine().getErr().println(script.name() + ": " + first);
        return status;
    }
}
