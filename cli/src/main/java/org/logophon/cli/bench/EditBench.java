package org.logophon.cli.bench;

import org.logophon.cli.input.InputUnusable;
import tools.jackson.databind.JsonNode;

/** A running application: one word of a 200-cue project is changed, until the changed cue can be played. */
final class EditBench {

    private static final int CUES = 200;
    private static final double BUDGET_SECONDS = 0.5;

    private final BenchServer server;

    EditBench(BenchServer server) {
        this.server = server;
    }

    BenchResult run() throws Exception {
        String project = server.project("Bench");
        StringBuilder script = new StringBuilder();
        for (int i = 0; i < CUES; i++) {
            script.append("The keeper wrote one line for the weather on day ")
                    .append(i)
                    .append(", and one line for the lamp.\n\n");
        }
        int version = server.save(project, script.toString(), 0);
        renderAll(project, 0);
        double best = Double.MAX_VALUE;
        String text = script.toString();
        for (String word : new String[] {"storm", "squall", "thunder"}) {
            text = text.replaceFirst("the (weather|storm|squall)( on day 100,)", "the " + word + "$2");
            long start = System.nanoTime();
            version = server.save(project, text, version);
            renderAll(project, 1);
            best = Math.min(best, (System.nanoTime() - start) / 1e9);
        }
        return new BenchResult("one word changed in 200 cues, until it plays", "0.5 s", best, BUDGET_SECONDS, "s", 1);
    }

    /**
     * Renders what changed, waits for it, and fetches the sound of the last cue that came out.
     *
     * @param expected renders, 0 for any
     */
    private void renderAll(String project, int expected) throws Exception {
        JsonNode before = programme(project);
        int changed = 0;
        for (JsonNode cue : before.get("cues")) {
            changed += cue.get("state").asString().equals("ready") ? 0 : 1;
        }
        if (expected > 0 && changed != expected) {
            throw new InputUnusable("The bench changed one word and " + changed + " cues want a render; it should be "
                    + expected + ".");
        }
        server.send("POST", project + "/render", "step=WRITE", "application/x-www-form-urlencoded");
        JsonNode now;
        do {
            now = programme(project);
        } while (now.get("rendering").asInt() > 0);
        for (int i = 0; i < CUES; i++) {
            boolean was = before.get("cues").get(i).get("state").asString().equals("ready");
            if (!was && expected > 0) {
                server.send("GET", now.get("cues").get(i).get("sound").asString(), null, null);
            }
        }
    }

    private JsonNode programme(String project) throws Exception {
        return server.json(project + "/programme");
    }
}
