package org.logophon.cli.bench;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.logophon.cli.input.ExitStatus;
import org.logophon.cli.input.InputUnusable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** Prints the budgets as a table and as JSON. */
@Command(name = "bench", description = "Measures the budgets against public tools.", mixinStandardHelpOptions = true)
public final class BenchCommand implements Callable<Integer> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Spec
    private CommandSpec spec;

    @Option(names = "--server", paramLabel = "ADDRESS", description = "A running Logophon, for the budget of an edit.")
    private String server;

    @Option(
            names = "--launcher",
            paramLabel = "FILE",
            description = "The command that people type, for the budgets of whole processes.")
    private Path launcher;

    @Option(
            names = "--measured",
            paramLabel = "FILE",
            description = "Rows that another process measured, as JSON: they join the table.")
    private Path measured;

    @Parameters(
            arity = "0..1",
            paramLabel = "load|year|deliver",
            description = "\"load\": many people at once on the running Logophon, instead of all else; \"year\": "
                    + "what a house has after a year; \"deliver\": hours delivered.")
    private String which;

    @Option(names = "--seconds", paramLabel = "N", description = "How long people work in \"load\", 600 usually.")
    private int seconds = 600;

    @Override
    public Integer call() throws Exception {
        if (which != null && (!List.of("load", "year", "deliver").contains(which) || server == null)) {
            throw new InputUnusable(
                    "The bench knows \"load\", \"year\" and \"deliver\" beside what it measures without a "
                            + "word; it was asked for \""
                            + which + "\", and all need a running server.");
        }
        List<BenchResult> rows = switch (which == null ? "" : which) {
            case "" -> all();
            case "load" -> new LoadBench(server, seconds).run();
            case "year" -> new YearBench(new BenchServer(server)).run();
            default -> new DeliverBench().served(new BenchServer(server));
        };
        print(rows);
        return rows.stream().allMatch(BenchResult::met) ? ExitStatus.DONE : ExitStatus.FAILED;
    }

    private List<BenchResult> all() throws Exception {
        Path folder = Files.createTempDirectory("logophon-bench");
        List<BenchResult> rows = new ArrayList<>();
        try {
            LaunchedCommand command = launcher == null ? null : new LaunchedCommand(launcher, folder);
            if (command != null) {
                rows.addAll(new CommandBench(folder, command).run());
            }
            rows.addAll(new RenderBench(folder, command).run());
            rows.add(new MarksBench().run());
            rows.addAll(new EngineBench().run());
            rows.addAll(new PlaceBench().run());
            rows.add(new MeterBench(folder).run());
            rows.add(new ScriptBench().run());
            rows.add(new CutBench().run());
            rows.add(new DeliverBench().coded(folder));
            if (server != null) {
                BenchServer asked = new BenchServer(server);
                rows.add(new EditBench(asked).run());
                rows.add(new AuditionBench(asked).run());
                rows.add(new MarkChangeBench(asked).run());
                rows.add(new OtherTabBench(asked).run());
                rows.addAll(new LongProjectBench(asked).run());
                rows.addAll(new DeliverBench().served(asked));
            }
            if (measured != null) {
                rows.addAll(List.of(JSON.readValue(Files.readString(measured), BenchResult[].class)));
            }
        } finally {
            remove(folder);
        }
        return rows;
    }

    private record Report(List<BenchResult> budgets) {}

    private void print(List<BenchResult> rows) {
        PrintWriter out = spec.commandLine().getOut();
        out.printf("%-56s %-46s %9s %9s %7s %7s%n", "what", "against", "ours", "theirs", "ratio", "wanted");
        for (BenchResult row : rows) {
            out.printf(
                    "%-56s %-46s %7.2f %s %7.2f %s %6.1f× ≥ %4.1f× %s%n",
                    row.what(),
                    row.against(),
                    row.ours(),
                    row.unit(),
                    row.theirs(),
                    row.unit(),
                    row.ratio(),
                    row.wanted(),
                    row.met() ? "met" : "MISSED");
        }
        out.println(JSON.writeValueAsString(new Report(rows)));
        out.flush();
    }

    private static void remove(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(path);
            }
        }
    }
}
