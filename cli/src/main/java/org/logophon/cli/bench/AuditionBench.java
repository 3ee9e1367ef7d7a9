package org.logophon.cli.bench;

import java.util.Arrays;

/** A running application: native voices say a line that they haven't said before, until its sound is there to play. */
final class AuditionBench {

    private static final double BUDGET_SECONDS = 0.7;
    private static final String LINE =
            "Wind north-west, force nine. Lit the lamp at 4:52, read until two, and heard nothing but the sea.";
    private static final String[] VOICES = {
        "isla", "hamish", "aldric", "marnie", "rufus", "otis", "verity", "edwin", "nessa", "lucian", "gawen"
    };

    private final BenchServer server;

    AuditionBench(BenchServer server) {
        this.server = server;
    }

    /** The slowest of the voices counts: nobody waits for an average. */
    BenchResult run() throws Exception {
        String project = server.project("Auditions");
        server.save(project, LINE, 0);
        // the first one starts workers
        seconds(project, "keziah");
        double[] times = new double[VOICES.length];
        for (int i = 0; i < times.length; i++) {
            times[i] = seconds(project, VOICES[i]);
        }
        return new BenchResult(
                "a voice says one's own line, until it plays",
                "0.7 s",
                Arrays.stream(times).max().orElseThrow(),
                BUDGET_SECONDS,
                "s",
                1);
    }

    private double seconds(String project, String voice) throws Exception {
        long start = System.nanoTime();
        String sound = server.made(project + "/cast/audition", "role=Narrator&voice=" + voice)
                .get("sound")
                .asString();
        server.send("GET", sound, null, null);
        return (System.nanoTime() - start) / 1e9;
    }
}
