package org.logophon.cli.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.logophon.cli.input.InputUnusable;

/** The commands as they are typed: a process each, from the start of the launcher to its end. */
final class LaunchedCommand {

    private final Path launcher;
    private final Path folder;

    /** @param folder for what the commands write */
    LaunchedCommand(Path launcher, Path folder) {
        this.launcher = launcher;
        this.folder = folder;
    }

    /** @return seconds */
    double narrate(Path script, int cues) throws IOException, InterruptedException {
        Path out = folder.resolve("narrated-" + UUID.randomUUID());
        double seconds = run("narrate", script.toString(), "--out", out.toString());
        try (Stream<Path> files = Files.list(out)) {
            long clips = files.filter(file -> file.toString().endsWith(".wav")).count();
            if (clips != cues) {
                throw new InputUnusable(
                        "The bench narrated " + cues + " cues and found " + clips + " clips; they should be as many.");
            }
        }
        return seconds;
    }

    /** @return seconds */
    double check(Path script) throws IOException, InterruptedException {
        return run("check", script.toString());
    }

    private double run(String... arguments) throws IOException, InterruptedException {
        List<String> command = Stream.concat(Stream.of(launcher.toString()), Stream.of(arguments))
                .toList();
        long start = System.nanoTime();
        Tool.run(command);
        return (System.nanoTime() - start) / 1e9;
    }
}
