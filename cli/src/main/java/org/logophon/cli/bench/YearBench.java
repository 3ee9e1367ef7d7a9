package org.logophon.cli.bench;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.logophon.cli.input.InputUnusable;
import tools.jackson.databind.JsonNode;

/**
 * What a house has after a year: 500 projects with 100,000 takes. One project is rendered, the rest are copies of it
 * that the database makes ({@code year.sql}; the launcher says how to reach it): every kept take has a speech of its
 * own, and the sound is shared.
 */
final class YearBench {

    private static final int CUES = 40;
    private static final int LOOKS = 40;
    /** Looks at each step before it counts: a server that a house has used for a year has been used before. */
    private static final int WARMING = 40;

    private static final int READY_EVERY_MILLIS = 500;
    private static final double BUDGET_SECONDS = 0.1;
    private static final long SEED = 19;
    /** Each with the 95th of so many projects that nobody has looked at before. */
    private static final List<String> STEPS = List.of("write", "cast", "direct", "listen", "place", "deliver");

    private final BenchServer server;

    YearBench(BenchServer server) {
        this.server = server;
    }

    List<BenchResult> run() throws Exception {
        String project = server.project("Year");
        StringBuilder script = new StringBuilder();
        for (int cue = 0; cue < CUES; cue++) {
            script.append("On night ")
                    .append(cue)
                    .append(" the keeper wrote 4:52 for the lamp, and 12 for the wind.\n\n");
        }
        server.save(project, script.toString(), 0);
        server.send("POST", project + "/render", "step=DIRECT", "application/x-www-form-urlencoded");
        while (ready(project) < CUES) {
            Thread.sleep(READY_EVERY_MILLIS);
        }
        List<String> made = copied(project);
        List<BenchResult> rows = new ArrayList<>();
        double first = seconds("/");
        double[] shelf = new double[LOOKS];
        for (int i = 0; i < WARMING; i++) {
            seconds("/");
        }
        for (int i = 0; i < LOOKS; i++) {
            shelf[i] = seconds("/");
        }
        rows.add(row("Shelf of 500 projects (%.2f s at the first look)".formatted(first), shelf));
        Random random = new Random(SEED);
        for (int i = 0; i < WARMING; i++) {
            for (String step : STEPS) {
                seconds("/projects/" + made.get(random.nextInt(made.size())) + "/" + step);
            }
        }
        for (String step : STEPS) {
            double[] looks = new double[LOOKS];
            for (int i = 0; i < LOOKS; i++) {
                looks[i] = seconds("/projects/" + made.get(random.nextInt(made.size())) + "/" + step);
            }
            rows.add(row("among 100,000 takes, " + step, looks));
        }
        return rows;
    }

    private long ready(String project) throws Exception {
        long ready = 0;
        for (JsonNode cue : server.json(project + "/programme").get("cues")) {
            ready += "ready".equals(cue.get("state").asString()) ? 1 : 0;
        }
        return ready;
    }

    private double seconds(String path) throws Exception {
        long began = System.nanoTime();
        server.send("GET", path, null, null);
        return (System.nanoTime() - began) / 1e9;
    }

    private static BenchResult row(String what, double[] times) {
        Arrays.sort(times);
        return new BenchResult(
                "%s, 95th of %d (median %.0f ms)".formatted(what, times.length, 1_000 * times[times.length / 2]),
                BUDGET_SECONDS + " s",
                times[(int) (0.95 * (times.length - 1))],
                BUDGET_SECONDS,
                "s",
                1);
    }

    /** @return ids of the projects that the database has made */
    private static List<String> copied(String project) throws IOException, InterruptedException {
        Map<String, String> environment = System.getenv();
        String psql = environment.get("LOGOPHON_PSQL");
        if (psql == null) {
            throw new InputUnusable(
                    "The bench of a year makes its projects in the database: run it as ./logophon bench year.");
        }
        Process process = new ProcessBuilder(
                        psql,
                        "-q",
                        "-A",
                        "-t",
                        "-v",
                        "ON_ERROR_STOP=1",
                        "-v",
                        "project=" + project.replaceAll(".*/", ""))
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        try (InputStream sql = YearBench.class.getResourceAsStream("year.sql")) {
            sql.transferTo(process.getOutputStream());
        }
        process.getOutputStream().close();
        List<String> made = process.inputReader().lines().toList();
        if (process.waitFor() != 0 || made.isEmpty()) {
            throw new InputUnusable("The database could not make the projects of a year; its words stand above.");
        }
        return made;
    }
}
