package org.logophon.cli.bench;

import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.List;
import org.logophon.cli.input.InputUnusable;

/** A running application with a project of 2,000 cues and 100,000 words: opening its pages, saving it. */
final class LongProjectBench {

    private static final int CUES = 2_000;
    private static final int ROUNDS = 9;
    private static final double BUDGET_SECONDS = 0.1;
    private static final String SENTENCE = "The keeper wrote one line for the weather and one for the lamp on day ";
    private static final String MORE =
            " and then he climbed down by the iron stair, drew the door shut behind him, and counted the steps to the"
                    + " boat house while the wind came over the stone and took the smoke away.";
    private static final List<String> PAGES =
            List.of("/write", "/cast", "/direct", "/deliver", "/programme", "/script");

    private final BenchServer server;

    LongProjectBench(BenchServer server) {
        this.server = server;
    }

    List<BenchResult> run() throws Exception {
        String project = server.project("Long");
        StringBuilder written = new StringBuilder();
        for (int i = 0; i < CUES; i++) {
            written.append(SENTENCE).append(i).append(MORE).append("\n\n");
        }
        String text = written.toString();
        int version = server.save(project, text, 0);
        int cues = server.json(project + "/programme").get("cues").size();
        if (cues != CUES) {
            throw new InputUnusable("The bench wrote " + CUES + " cues and found " + cues + ".");
        }
        double[] saves = new double[ROUNDS];
        // a warm server first, as a person who writes has one
        for (int round = -ROUNDS; round < ROUNDS; round++) {
            text = text.replaceFirst("on day 1000\\w*", "on day 1000" + (char) ('a' + Math.floorMod(round, 26)));
            String script = server.script(text, version);
            long start = System.nanoTime();
            HttpResponse<String> saved = server.put(project, script);
            double seconds = (System.nanoTime() - start) / 1e9;
            version = server.version(saved);
            if (round >= 0) {
                saves[round] = seconds;
            }
        }
        String slowest = "";
        double slowestSeconds = 0;
        for (String page : PAGES) {
            double seconds = seconds(project + page);
            if (seconds > slowestSeconds) {
                slowest = page;
                slowestSeconds = seconds;
            }
        }
        return List.of(
                new BenchResult(
                        "a page of 2,000 cues, the slowest: " + slowest,
                        "0.1 s",
                        slowestSeconds,
                        BUDGET_SECONDS,
                        "s",
                        1),
                new BenchResult("a word saved in 2,000 cues", "0.1 s", median(saves), BUDGET_SECONDS, "s", 1));
    }

    private double seconds(String path) throws Exception {
        double[] times = new double[ROUNDS];
        for (int round = -ROUNDS; round < ROUNDS; round++) {
            long start = System.nanoTime();
            server.send("GET", path, null, null);
            if (round >= 0) {
                times[round] = (System.nanoTime() - start) / 1e9;
            }
        }
        return median(times);
    }

    private static double median(double[] times) {
        double[] sorted = times.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }
}
