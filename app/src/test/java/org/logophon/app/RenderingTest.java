package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.logophon.app.speech.MadeUpSpeech;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Render jobs on the real engine, and what they stand. */
class RenderingTest extends ApplicationTest {

    @Autowired
    private JdbcClient jdbc;

    private static String script(String tag, int cues) {
        StringBuilder script = new StringBuilder();
        for (int i = 0; i < cues; i++) {
            script.append("The keeper wrote line ")
                    .append(i)
                    .append(" of log ")
                    .append(tag)
                    .append(", one for the weather and one for the lamp, until the oil was gone.\n\n");
        }
        return script.toString();
    }

    private void renderAll(String project) {
        server.post(project + "/render", Map.of("step", "DIRECT"));
    }

    private void awaitReady(String project, long cues) {
        Server.await(cues + " cues ready", () -> server.ready(project) == cues);
    }

    private int takes(String project) {
        return jdbc.sql("select count(*) from take t join cue c on c.id = t.cue_id where c.project_id = :project")
                .param("project", UUID.fromString(project.substring(10)))
                .query(Integer.class)
                .single();
    }

    @Test
    void rendersWhatChangedAndOnlyThat() {
        String project = server.project("Changed", script("changed", 4));
        renderAll(project);
        awaitReady(project, 4);
        renderAll(project);
        String cue = server.cues(project).get(2).get("id").asString();
        assertThat(server.post(project + "/cues/" + cue + "/render", Map.of()).body())
                .contains("Nothing has changed");
        assertThat(takes(project)).isEqualTo(4);
        server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "80", "version", "0"));
        assertThat(server.ready(project)).isEqualTo(3);
        renderAll(project);
        awaitReady(project, 4);
        assertThat(takes(project)).isEqualTo(5);
        // back to the first direction: its take is there already
        server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "", "version", "1"));
        renderAll(project);
        awaitReady(project, 4);
        assertThat(takes(project)).isEqualTo(5);
        String sound = server.cues(project).get(2).get("sound").asString();
        assertThat(new String(server.bytes(sound), 0, 4, java.nio.charset.StandardCharsets.US_ASCII))
                .isEqualTo("RIFF");
    }

    @Test
    void loudnessAndPausesAreHeardWithoutARender() {
        String project = server.project("Louder", script("louder", 2));
        renderAll(project);
        awaitReady(project, 2);
        JsonNode before = server.cues(project);
        String cue = before.get(0).get("id").asString();
        double loud = peak(server.bytes(before.get(0).get("sound").asString()));
        server.post(project + "/cues/" + cue + "/direction", Map.of("loudness", "-6", "pause", "2.5", "version", "0"));
        JsonNode after = server.cues(project);
        assertThat(server.ready(project)).isEqualTo(2);
        assertThat(after.get(0).get("pause").asDouble()).isEqualTo(2.5);
        assertThat(after.get(0).get("sound").asString())
                .isNotEqualTo(before.get(0).get("sound").asString());
        double quiet = peak(server.bytes(after.get(0).get("sound").asString()));
        assertThat(20 * Math.log10(loud / quiet)).isBetween(3.0, 7.0);
        assertThat(server.get(project + "/direct?cue=" + cue).body()).contains("−25.0 LUFS");
    }

    private static double peak(byte[] wav) {
        double most = 0;
        for (int i = 44; i + 1 < wav.length; i += 2) {
            most = Math.max(most, Math.abs((short) (wav[i] & 0xff | wav[i + 1] << 8)));
        }
        return most;
    }

    @Test
    void aCueThatCannotBeRenderedLeavesTheRestUnharmed() {
        String project =
                server.project("Unfit", "Good words.\n\n***\n\nKEEPER: No voice here.\n\nNARRATOR: More good words.");
        renderAll(project);
        awaitReady(project, 2);
        assertThat(server.get(project + "/direct").body()).contains("2 cues to check");
        String stars = server.cues(project).get(1).get("id").asString();
        assertThat(server.post(project + "/cues/" + stars + "/render", Map.of()).body())
                .contains("no letter and no digit");
    }

    @Test
    void aBatchCanBeCancelled() {
        String project = server.project("Cancelled", script("cancelled", 60));
        try (MadeUpSpeech.Held held = MadeUpSpeech.hold("of log cancelled")) {
            renderAll(project);
            server.post(project + "/render/cancel", Map.of("step", "DIRECT"));
        }
        assertThat(server.json(project + "/programme").get("rendering").asInt()).isZero();
        assertThat(server.ready(project)).isLessThan(60);
        renderAll(project);
        awaitReady(project, 60);
        assertThat(takes(project)).isEqualTo(60);
    }

    @Test
    void aBatchWaitsWhileItIsPausedAndGoesOn() {
        String project = server.project("Paused", script("paused", 40));
        try (MadeUpSpeech.Held held = MadeUpSpeech.hold("of log paused")) {
            renderAll(project);
            assertThat(server.post(project + "/render/pause", Map.of("step", "DIRECT"))
                            .body())
                    .contains("paused", "Resume", "/render/go-on")
                    .doesNotContain(" left");
        }
        Server.await(
                "what was under way is done",
                () -> jdbc.sql("select 1 from render_claim c join cue on cue.id = c.cue_id where "
                                + "cue.project_id = :project")
                        .param("project", UUID.fromString(project.substring(10)))
                        .query()
                        .listOfRows()
                        .isEmpty());
        long done = server.ready(project);
        assertThat(done).isLessThan(40);
        assertThat(server.get(project + "/direct").body())
                .contains(done + " of 40 ready")
                .doesNotContain("all 40 ready");
        String other = server.project("Beside the paused", script("beside", 12));
        renderAll(other);
        awaitReady(other, 12);
        assertThat(server.ready(project)).isEqualTo(done);
        assertThat(server.post(project + "/render/go-on", Map.of("step", "DIRECT"))
                        .body())
                .contains("Pause")
                .doesNotContain("paused");
        awaitReady(project, 40);
        assertThat(takes(project)).isEqualTo(40);
    }

    @Test
    void renderAskedForThriceAtOnceIsDoneOnce() {
        String project = server.project("Thrice", script("thrice", 20));
        IntStream.range(0, 3)
                .mapToObj(i -> CompletableFuture.runAsync(() -> renderAll(project)))
                .toList()
                .forEach(CompletableFuture::join);
        assertThat(jobs(project)).isEqualTo(20);
        awaitReady(project, 20);
        assertThat(takes(project)).isEqualTo(20);
    }

    @Test
    void aProjectThatIsDeletedWhileItRendersComesBackWhole() {
        String project = server.project("Back again", script("again", 60));
        renderAll(project);
        Server.await("some are ready", () -> server.ready(project) > 2);
        server.post(project + "/delete", Map.of());
        Server.await("nothing waits any more", () -> waiting(project) == 0);
        server.post(project + "/restore", Map.of());
        assertThat(server.cues(project))
                .allSatisfy(cue -> assertThat(cue.get("state").asString()).isIn("ready", "new"));
        renderAll(project);
        awaitReady(project, 60);
    }

    private int jobs(String project) {
        return cuesOfBatches(project, "true");
    }

    private int waiting(String project) {
        return cuesOfBatches(project, "bc.state = 'waiting'");
    }

    private int cuesOfBatches(String project, String which) {
        return jdbc.sql("select count(*) from batch_cue bc join batch b on b.id = bc.batch_id where "
                        + "b.project_id = :project and "
                        + which)
                .param("project", UUID.fromString(project.substring(10)))
                .query(Integer.class)
                .single();
    }

    @Test
    void takesStayAndTheKeptOneIsChosen() {
        String project = server.project("Takes", script("takes", 1));
        renderAll(project);
        awaitReady(project, 1);
        String cue = server.cues(project).get(0).get("id").asString();
        server.post(project + "/cues/" + cue + "/direction", Map.of("pitch", "-2", "version", "0"));
        renderAll(project);
        awaitReady(project, 1);
        String page = server.get(project + "/direct").body();
        assertThat(page).contains("T1", "T2").contains("pitch −2.0 st");
        String first = page.replaceAll("(?s).*data-take=\"([^\"]+)\"[^>]*aria-label=\"Play T1\".*", "$1");
        String second = page.replaceAll("(?s).*data-take=\"([^\"]+)\"[^>]*aria-label=\"Play T2\".*", "$1");
        assertThat(server.post(project + "/takes/" + second + "/delete", Map.of())
                        .body())
                .contains("is the kept take");
        server.post(project + "/takes/" + first + "/keep", Map.of());
        assertThat(server.ready(project))
                .as("a take that was chosen on purpose is not changed")
                .isEqualTo(1);
        assertThat(server.cues(project).get(0).get("sound").asString()).contains(first);
        assertThat(server.post(project + "/takes/" + second + "/delete", Map.of())
                        .body())
                .contains("Undo")
                .doesNotContain("Play T2");
        assertThat(server.post(project + "/takes/" + second + "/restore", Map.of())
                        .body())
                .contains("Play T2");
    }
}
