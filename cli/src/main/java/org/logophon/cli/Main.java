package org.logophon.cli;

import org.logophon.cli.bench.BenchCommand;
import org.logophon.cli.narrate.NarrateCommand;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** Headless use. Exit status: 0 done, 2 usage, 3 the input can't be used, 4 a cue failed. */
@Command(
        name = "logophon",
        subcommands = {NarrateCommand.class, CheckCommand.class, VoicesCommand.class, BenchCommand.class},
        description = "Turns voiceover scripts into numbered narration clips.",
        mixinStandardHelpOptions = true)
public final class Main {

    public static void main(String[] args) {
        System.exit(run(args));
    }

    static int run(String... args) {
        CommandLine line = new CommandLine(new Main());
        line.setCaseInsensitiveEnumValuesAllowed(true);
        line.setUsageHelpAutoWidth(true);
        line.setParameterExceptionHandler((error, given) -> {
            error.getCommandLine()
                    .getErr()
                    .println(error.getMessage() + " See ./logophon "
                            + error.getCommandLine().getCommandName() + " --help.");
            return ExitStatus.USAGE;
        });
        line.setExecutionExceptionHandler((error, command, parsed) -> {
            command.getErr().println(Sentence.of(error));
            return error instanceof InputUnusable ? ExitStatus.INPUT_UNUSABLE : ExitStatus.FAILED;
        });
        return line.execute(args);
    }
}
