package org.logophon.cli.bench;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.logophon.cli.ExitStatus;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** Prints the budgets as a table and as JSON. */
@Command(name = "bench", description = "Measures the budgets against public tools.", mixinStandardHelpOptions = true)
public final class BenchCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Option(names = "--server", paramLabel = "ADDRESS", description = "A running Logophon, for the budget of an edit.")
    private String server;

    @Override
    public Integer call() throws Exception {
        Path folder = Files.createTempDirectory("logophon-bench");
        List<BenchResult> rows = new ArrayList<>();
        try {
            rows.addAll(new RenderBench(folder).run());
            rows.add(new MarksBench().run());
            rows.add(new MeterBench(folder).run());
            rows.add(new ScriptBench().run());
            if (server != null) {
                rows.add(new EditBench(new BenchServer(server)).run());
                rows.add(new AuditionBench(new BenchServer(server)).run());
                rows.add(new MarkChangeBench(new BenchServer(server)).run());
            }
        } finally {
            remove(folder);
        }
        print(rows);
        return rows.stream().allMatch(BenchResult::met) ? ExitStatus.DONE : ExitStatus.FAILED;
    }

    private void print(List<BenchResult> rows) {
        PrintWriter out = spec.commandLine().getOut();
        out.printf("%-46s %-46s %9s %9s %7s %7s%n", "what", "against", "ours", "theirs", "ratio", "wanted");
        for (BenchResult row : rows) {
            out.printf(
                    "%-46s %-46s %7.2f %s %7.2f %s %6.1f× ≥ %4.1f× %s%n",
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
        out.println(JsonMapper.builder()
                .build()
                .writeValueAsString(Map.of(
                        "budgets", rows.stream().map(BenchCommand::fields).toList())));
        out.flush();
    }

    private static Map<String, Object> fields(BenchResult row) {
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("what", row.what());
        fields.put("against", row.against());
        fields.put("ours", row.ours());
        fields.put("theirs", row.theirs());
        fields.put("ratio", row.ratio());
        fields.put("wanted", row.wanted());
        fields.put("met", row.met());
        return fields;
    }

    private static void remove(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(path);
            }
        }
    }
}
