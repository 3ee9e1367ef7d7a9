package org.logophon.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import org.logophon.cli.bench.BenchCommand;
import org.logophon.cli.clearness.MeasureVoicesCommand;
import org.logophon.cli.input.ExitStatus;
import org.logophon.cli.input.InputUnusable;
import org.logophon.cli.input.Sentence;
import org.logophon.cli.input.UnusableOption;
import org.logophon.cli.narrate.NarrateCommand;
import org.logophon.cli.narrate.WatchCommand;
import org.logophon.cli.recording.AlignCommand;
import org.logophon.cli.recording.CleanCommand;
import org.logophon.cli.recording.RecastCommand;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.TypedNumber;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.TypeConversionException;

/** Headless use. Exit status: 0 done, 2 usage, 3 the input can't be used, 4 a cue failed. */
@Command(
        name = "logophon",
        subcommands = {
            NarrateCommand.class,
            CheckCommand.class,
            VoicesCommand.class,
            RestoreCommand.class,
            AlignCommand.class,
            CleanCommand.class,
            RecastCommand.class,
            BenchCommand.class,
            MeasureVoicesCommand.class
        },
        description = "Turns voiceover scripts into numbered narration clips.",
        mixinStandardHelpOptions = true)
public final class Main {

    public static void main(String[] args) {
        System.exit(run(args));
    }

    static int run(String... args) {
        CommandLine line = set(new CommandLine(new Main()).addSubcommand(new WatchCommand(Main::set)));
        try {
            return line.execute(args);
        } catch (OutOfMemoryError | StackOverflowError beyond) {
            line.getErr().println(Sentence.of(beyond));
            return ExitStatus.INPUT_UNUSABLE;
        }
    }

    /** What holds for every command. */
    private static CommandLine set(CommandLine line) {
        line.setCaseInsensitiveEnumValuesAllowed(true);
        line.setUsageHelpAutoWidth(true);
        line.registerConverter(Double.class, Main::number);
        line.registerConverter(Integer.class, Main::wholeNumber);
        line.setParameterExceptionHandler((error, given) -> {
            error.getCommandLine()
                    .getErr()
                    .println(error.getMessage() + " See ./logophon "
                            + error.getCommandLine().getCommandName() + " --help.");
            return ExitStatus.USAGE;
        });
        line.setExecutionExceptionHandler((error, command, parsed) -> {
            command.getErr().println(Sentence.of(error));
            if (error instanceof UnusableOption) {
                return ExitStatus.USAGE;
            }
            boolean input = error instanceof InputUnusable
                    || error instanceof IOException
                    || error instanceof UncheckedIOException;
            return input ? ExitStatus.INPUT_UNUSABLE : ExitStatus.FAILED;
        });
        return line;
    }

    private static Double number(String typed) {
        try {
            Double number = TypedNumber.read("It", typed);
            if (number == null) {
                throw new TypeConversionException("a number is missing");
            }
            return number;
        } catch (InvalidInput unusable) {
            throw new TypeConversionException(unusable.getMessage());
        }
    }

    private static Integer wholeNumber(String typed) {
        double number = number(typed);
        if (number != Math.rint(number)) {
            throw new TypeConversionException("it is a whole number, and “" + typed + "” is none");
        }
        return (int) number;
    }
}
