package org.logophon.cli.bench;

import java.util.Arrays;
import tools.jackson.databind.JsonNode;

/**
 * A running application: a mark is set on a word of a cue of 20 words, and the cue rendered until its sound is there to
 * play.
 */
final class MarkChangeBench {

    private static final double BUDGET_SECONDS = 0.5;
    private static final String LINE =
            "The crew have one tide to lift it out of the water, and the sling is rated for most of it.";
    private static final int CHANGES = 9;
    /** As the page asks. */
    private static final int ASKED_EVERY_MILLIS = 80;

    private final BenchServer server;

    MarkChangeBench(BenchServer server) {
        this.server = server;
    }

    /** The median: a change now and then waits for another worker to start. */
    BenchResult run() throws Exception {
        String project = server.project("Changes");
        server.save(project, LINE, 0);
        String cue = project + "/cues/"
                + server.json(project + "/programme")
                        .get("cues")
                        .get(0)
                        .get("id")
                        .asString();
        seconds(project, cue, "sling", 0);
        double[] times = new double[CHANGES];
        for (int i = 0; i < CHANGES; i++) {
            times[i] = seconds(project, cue, i % 2 == 0 ? "tide" : "water", 70 + i);
        }
        Arrays.sort(times);
        return new BenchResult(
                "a mark on a word of 20, until it plays", "0.5 s", times[CHANGES / 2], BUDGET_SECONDS, "s", 1);
    }

    private double seconds(String project, String cue, String word, int percent) throws Exception {
        long start = System.nanoTime();
        int at = LINE.indexOf(word);
        if (percent > 0) {
            post(cue + "/marks", "start=" + at + "&end=" + (at + word.length()) + "&kind=pace&value=" + percent);
        }
        post(cue + "/render", "");
        while (server.send("GET", cue + "/rendered", null, null).statusCode() == 204) {
            Thread.sleep(ASKED_EVERY_MILLIS);
        }
        JsonNode made = server.json(project + "/programme").get("cues").get(0);
        server.send("GET", made.get("sound").asString(), null, null);
        return (System.nanoTime() - start) / 1e9;
    }

    private void post(String path, String form) throws Exception {
        server.send("POST", path, form, "application/x-www-form-urlencoded");
    }
}
