package org.logophon.cli.bench;

import java.util.Arrays;

/** A running application: one tab changes a project of 200 cues, until another tab's event stream says so. */
final class OtherTabBench {

    private static final int CUES = 200;
    private static final int CHANGES = 9;
    private static final long PAUSE_MILLIS = 400;
    private static final double BUDGET_SECONDS = 1;

    private final BenchServer server;

    OtherTabBench(BenchServer server) {
        this.server = server;
    }

    /** The slowest counts. */
    BenchResult run() throws Exception {
        String project = server.project("Tabs");
        StringBuilder script = new StringBuilder();
        for (int i = 0; i < CUES; i++) {
            script.append("Day ").append(i).append(": the lamp was lit, and the wind was north.\n\n");
        }
        String text = script.toString();
        int version = server.save(project, text, 0);
        double[] times = new double[CHANGES];
        try (BenchServer.Events events = server.events(project + "/events")) {
            events.next("hello", "");
            for (int i = 0; i < CHANGES; i++) {
                text = text.replaceFirst("Day 100\\w*", "Day 100" + (char) ('a' + i));
                long start = System.nanoTime();
                version = server.save(project, text, version);
                events.next("changed", "content");
                times[i] = (System.nanoTime() - start) / 1e9;
                // as a person does
                Thread.sleep(PAUSE_MILLIS);
            }
        }
        return new BenchResult(
                "a change, until another tab is told",
                "1 s",
                Arrays.stream(times).max().orElseThrow(),
                BUDGET_SECONDS,
                "s",
                1);
    }
}
