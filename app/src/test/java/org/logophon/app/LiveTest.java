package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What open pages are told. */
@Isolated
class LiveTest extends ApplicationTest {

    @Autowired
    private JdbcTemplate jdbc;

    @Test
    void aPageHearsOfWhatAnotherOneDoes() throws Exception {
        String project = server.project("Heard", "The first cue.\n\nThe second cue.");
        String stamp = server.json(project + "/programme").get("stamp").asString();
        try (EventStream page = new EventStream(server.address() + project + "/events");
                EventStream shelf = new EventStream(server.address() + "/events")) {
            assertThat(page.events.get(0))
                    .as("what it may have missed")
                    .isEqualTo("hello {\"stamp\":\"" + stamp + "\"}");
            String cue = server.cues(project).get(0).get("id").asString();
            server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "80", "version", "0"));
            Server.await("direction is told", () -> page.told("content"));
            server.post(project + "/render", Map.of("step", "DIRECT"));
            Server.await("renders are told", () -> page.told("status"));
            Server.await("both are ready", () -> server.ready(project) == 2);
            Server.await("and told to be", () -> last(page).path("rendering").asInt(-1) == 0);
            assertThat(last(page).get("stamp").asString())
                    .isEqualTo(server.json(project + "/programme").get("stamp").asString());
            server.post(project + "/deliveries", Map.of("pattern", "{number}", "target", "-19"));
            Server.await("the delivery is told", () -> page.told("delivery"));
            assertThat(shelf.told("content")).isTrue();
            assertThat(shelf.events).allSatisfy(event -> assertThat(event).doesNotContain("The first cue"));
        }
    }

    private static JsonNode last(EventStream page) {
        String event = page.events.stream()
                .filter(told -> told.startsWith("changed") && !told.contains("\"programme\":null"))
                .reduce((first, second) -> second)
                .orElse("changed {}");
        return JsonMapper.builder().build().readTree(event.substring(8)).path("programme");
    }

    @Test
    void anotherProjectsChangesAreNotHeard() throws Exception {
        String quiet = server.project("Quiet", "Nothing happens here.");
        String busy = server.project("Busy", "Much happens here.");
        try (EventStream page = new EventStream(server.address() + quiet + "/events");
                EventStream other = new EventStream(server.address() + busy + "/events")) {
            server.save(busy, "More happens here.", 1);
            Server.await("the busy one is told", () -> other.told("content"));
            assertThat(page.told("content")).isFalse();
        }
    }

    /** A job of another server, or a hand in the database, is told like anything else. */
    @Test
    void whoeverChangesTheDatabaseIsHeard() throws Exception {
        String project = server.project("By another", "Words of a cue.");
        try (EventStream page = new EventStream(server.address() + project + "/events")) {
            jdbc.update(
                    "update role set voice_id = 'hamish' where project_id = cast(? as uuid)",
                    project.substring(project.lastIndexOf('/') + 1));
            Server.await("it is told", () -> page.told("content"));
        }
    }

    @Test
    void aChangeThatDidNotComeToBeIsNotTold() throws Exception {
        String project = server.project("Refused", "Words of a cue.");
        String cue = server.cues(project).get(0).get("id").asString();
        try (EventStream page = new EventStream(server.address() + project + "/events")) {
            assertThat(server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "9000", "version", "0"))
                            .body())
                    .contains("goes from 50 to 200");
            server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "90", "version", "0"));
            Server.await("the other one is", () -> page.told("content"));
            assertThat(page.events.stream().filter(event -> event.startsWith("changed")))
                    .hasSize(1);
        }
    }

    @Test
    void aStreamOfNoProjectIsAnswered() {
        HttpResponse<String> answer =
                server.send(server.request("/projects/00000000-0000-0000-0000-000000000009/events")
                        .setHeader("Accept", "text/event-stream"));
        assertThat(answer.statusCode()).isEqualTo(404);
        assertThat(answer.body()).contains("doesn't exist any more");
    }
}
