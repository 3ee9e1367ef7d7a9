package org.logophon.cli.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** One short line, narrated and checked by a process each. */
final class CommandBench {

    private static final int ROUNDS = 5;
    private static final String LINE = "The lamp has not been lit for many years.";

    private final Path folder;
    private final LaunchedCommand command;

    CommandBench(Path folder, LaunchedCommand command) {
        this.folder = folder;
        this.command = command;
    }

    /** The best of some rounds: what else the machine does is no part of the command. */
    List<BenchResult> run() throws Exception {
        Path script = Files.writeString(folder.resolve("line.md"), LINE);
        double narrate = Double.MAX_VALUE;
        double check = Double.MAX_VALUE;
        for (int round = 0; round < ROUNDS; round++) {
            narrate = Math.min(narrate, command.narrate(script, 1));
            check = Math.min(check, command.check(script));
        }
        return List.of(
                new BenchResult("narrate, one short cue, the whole process", "1.2 s", narrate, 1.2, "s", 1),
                new BenchResult("check, one line, the whole process", "1 s", check, 1, "s", 1));
    }
}
