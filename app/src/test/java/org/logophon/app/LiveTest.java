package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What open pages are told. */
@Isolated
class LiveTest extends ApplicationTest {

    private static final Duration SOON = Duration.ofSeconds(20);

    @Autowired
    private JdbcTemplate jdbc;

    /** The events of a stream as they come: its name, then its data. */
    private final class Stream implements AutoCloseable {

        final List<String> events = new CopyOnWriteArrayList<>();
        private final InputStream body;

        Stream(String path) throws Exception {
            HttpResponse<InputStream> response = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(address() + path))
                                    .header("Accept", "text/event-stream")
                                    .build(),
                            HttpResponse.BodyHandlers.ofInputStream());
            assertThat(response.statusCode()).isEqualTo(200);
            assertThat(response.headers().firstValue("Content-Type").orElse("")).startsWith("text/event-stream");
            body = response.body();
            Thread reader = new Thread(() -> {
                try (BufferedReader lines = new BufferedReader(new InputStreamReader(body, StandardCharsets.UTF_8))) {
                    String name = "";
                    for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                        if (line.startsWith("event:")) {
                            name = line.substring(6);
                        } else if (line.startsWith("data:")) {
                            events.add(name + " " + line.substring(5));
                        }
                    }
                } catch (java.io.IOException closed) {
                    events.add("closed");
                }
            });
            reader.setDaemon(true);
            reader.start();
            Server.await("the stream begins", SOON, () -> !events.isEmpty());
        }

        boolean told(String kind) {
            return events.stream().anyMatch(event -> event.startsWith("changed") && event.contains("\"" + kind + "\""));
        }

        @Override
        public void close() throws Exception {
            body.close();
        }
    }

    @Test
    void aPageHearsOfWhatAnotherOneDoes() throws Exception {
        String project = server.project("Heard", "The first cue.\n\nThe second cue.");
        String stamp = server.json(project + "/programme").get("stamp").asString();
        try (Stream page = new Stream(project + "/events");
                Stream shelf = new Stream("/events")) {
            assertThat(page.events.get(0))
                    .as("what it may have missed")
                    .isEqualTo("hello {\"stamp\":\"" + stamp + "\"}");
            String cue = server.cues(project).get(0).get("id").asString();
            server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "80", "version", "0"));
            Server.await("direction is told", SOON, () -> page.told("content"));
            server.post(project + "/render", Map.of("step", "DIRECT"));
            Server.await("renders are told", SOON, () -> page.told("status"));
            Server.await("both are ready", Duration.ofSeconds(90), () -> server.ready(project) == 2);
            Server.await(
                    "and told to be", SOON, () -> last(page).path("rendering").asInt(-1) == 0);
            assertThat(last(page).get("stamp").asString())
                    .isEqualTo(server.json(project + "/programme").get("stamp").asString());
            server.post(project + "/deliveries", Map.of("pattern", "{number}", "target", "-19"));
            Server.await("the delivery is told", SOON, () -> page.told("delivery"));
            assertThat(shelf.told("content")).isTrue();
            assertThat(shelf.events).allSatisfy(event -> assertThat(event).doesNotContain("The first cue"));
        }
    }

    private static JsonNode last(Stream page) {
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
        try (Stream page = new Stream(quiet + "/events");
                Stream other = new Stream(busy + "/events")) {
            server.save(busy, "More happens here.", 1);
            Server.await("the busy one is told", SOON, () -> other.told("content"));
            assertThat(page.told("content")).isFalse();
        }
    }

    /** A job of another server, or a hand in the database, is told like anything else. */
    @Test
    void whoeverChangesTheDatabaseIsHeard() throws Exception {
        String project = server.project("By another", "Words of a cue.");
        try (Stream page = new Stream(project + "/events")) {
            jdbc.update(
                    "update role set voice_id = 'hamish' where project_id = cast(? as uuid)",
                    project.substring(project.lastIndexOf('/') + 1));
            Server.await("it is told", SOON, () -> page.told("content"));
        }
    }

    @Test
    void aChangeThatDidNotComeToBeIsNotTold() throws Exception {
        String project = server.project("Refused", "Words of a cue.");
        String cue = server.cues(project).get(0).get("id").asString();
        try (Stream page = new Stream(project + "/events")) {
            assertThat(server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "9000", "version", "0"))
                            .body())
                    .contains("goes from 50 to 200");
            server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "90", "version", "0"));
            Server.await("the other one is", SOON, () -> page.told("content"));
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
