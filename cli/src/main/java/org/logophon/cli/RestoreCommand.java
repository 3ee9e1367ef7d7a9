package org.logophon.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.logophon.cli.input.ExitStatus;
import org.logophon.cli.input.InputUnusable;
import org.logophon.core.delivery.ClipNote;
import org.logophon.core.delivery.ClipReading;
import org.logophon.core.delivery.WholeFile;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.direction.ssml.SsmlWriter;
import org.logophon.core.input.InvalidInput;
import org.logophon.speech.coding.FfmpegCoder;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Gives words, voices, readings and marks back from delivered clips. */
@Command(
        name = "restore",
        description = "Gives words, voices, readings and marks back from clips that were delivered.",
        mixinStandardHelpOptions = true)
final class RestoreCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "CLIP", arity = "1..*", description = "Clips: WAV, FLAC, MP3, Opus or M4A.")
    private List<Path> clips;

    @Option(names = "--out", required = true, paramLabel = "FILE", description = "The script, as SSML 1.1.")
    private Path out;

    @Override
    public Integer call() throws IOException {
        PrintWriter told = spec.commandLine().getOut();
        List<SsmlCue> cues = new ArrayList<>();
        String language = "";
        int foreign = 0;
        for (Path clip : clips) {
            Optional<ClipNote> note = note(clip);
            if (note.isEmpty()) {
                foreign++;
                spec.commandLine()
                        .getErr()
                        .println(clip.getFileName()
                                + " isn't a clip of Logophon's, or has lost what it carried. It was left out.");
                continue;
            }
            cues.add(note.get().cue());
            language = language.isEmpty() ? note.get().language() : language;
            told.println(note.get().number() + " " + note.get().role() + ": "
                    + note.get().cue().text());
        }
        if (cues.isEmpty()) {
            throw new InputUnusable(
                    "None of these files carries the words of a cue. Give clips that Logophon delivered.");
        }
        String document = SsmlWriter.document(cues, language.isEmpty() ? "en" : language);
        WholeFile.write(out, file -> file.write(document.getBytes(StandardCharsets.UTF_8)));
        return foreign == 0 ? ExitStatus.DONE : ExitStatus.FAILED;
    }

    private static Optional<ClipNote> note(Path clip) throws IOException {
        if (!Files.isReadable(clip) || Files.isDirectory(clip)) {
            throw new InputUnusable(clip + " can't be read. Check its name.");
        }
        try {
            return ClipReading.of(clip, new FfmpegCoder());
        } catch (InvalidInput unreadable) {
            throw new InputUnusable(clip.getFileName() + ": " + unreadable.getMessage());
        }
    }
}
