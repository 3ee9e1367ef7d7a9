package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** What is asked for several times at once by one press is made once, and everybody who asked is answered. */
class RepeatedRequestsTest extends ApplicationTest {

    private static final int PRESSES = 4;

    @Autowired
    private JdbcTemplate jdbc;

    private static List<HttpResponse<String>> atOnce(Supplier<HttpResponse<String>> press) {
        ExecutorService fingers = Executors.newFixedThreadPool(PRESSES);
        try {
            List<CompletableFuture<HttpResponse<String>>> pressed = new ArrayList<>();
            for (int i = 0; i < PRESSES; i++) {
                pressed.add(CompletableFuture.supplyAsync(press, fingers));
            }
            return pressed.stream().map(CompletableFuture::join).toList();
        } finally {
            fingers.shutdown();
        }
    }

    private Map<String, String> keyed(Map<String, String> form) {
        Map<String, String> with = new HashMap<>(form);
        with.put("idempotencyKey", UUID.randomUUID().toString());
        return with;
    }

    private int named(String name) {
        return jdbc.queryForObject("select count(*) from project where name = ?", Integer.class, name);
    }

    @Test
    void aFormOfTheShelfMakesOneProjectForAPress() {
        server.get("/");
        String name = "Pressed " + UUID.randomUUID();
        assertThat(server.get("/").body()).contains("name=\"idempotencyKey\"");
        Map<String, String> form = keyed(Map.of("name", name));
        List<HttpResponse<String>> answers = atOnce(() -> server.post("/projects", form));
        assertThat(named(name)).isEqualTo(1);
        assertThat(answers).allSatisfy(answer -> assertThat(answer.statusCode()).isEqualTo(302));
        assertThat(answers.stream()
                        .map(answer -> answer.headers()
                                .firstValue("Location")
                                .orElseThrow()
                                .replaceAll("^https?://[^/]+", ""))
                        .distinct())
                .hasSize(1);
        // another form, or the same one with other words, is another wish
        server.post("/projects", keyed(Map.of("name", name)));
        assertThat(named(name)).isEqualTo(2);
        Map<String, String> other = new HashMap<>(form);
        other.put("name", name + " again");
        server.post("/projects", other);
        assertThat(named(name + " again")).isEqualTo(1);
    }

    @Test
    void whatFailedMayBeSentAgain() {
        server.get("/");
        Map<String, String> form = keyed(Map.of("name", " "));
        assertThat(server.post("/projects", form).statusCode()).isEqualTo(422);
        assertThat(server.post("/projects", form).statusCode()).isEqualTo(422);
        assertThat(jdbc.queryForObject("select count(*) from request_key where ended_at is null", Integer.class))
                .isZero();
    }

    @Test
    void duplicatesLinksAndLanguagesAreMadeOnce() {
        String project = server.project("Once " + UUID.randomUUID(), "The lamp was lit at four.");
        UUID id = UUID.fromString(project.replace("/projects/", ""));
        Map<String, String> duplicate = keyed(Map.of());
        atOnce(() -> server.post(project + "/duplicate", duplicate));
        String name = jdbc.queryForObject("select name from project where id = ?", String.class, id);
        assertThat(named(name + " (copy)")).isEqualTo(1);

        Map<String, String> link = keyed(Map.of("name", "For Ffion", "follows", "true"));
        List<HttpResponse<String>> links = atOnce(() -> server.post(project + "/shares", link));
        assertThat(jdbc.queryForObject("select count(*) from share where project_id = ?", Integer.class, id))
                .isEqualTo(1);
        assertThat(links.stream().map(HttpResponse::body).distinct())
                .as("each is told the same link")
                .hasSize(1);

        // without a key: one comes first, and the others are told
        List<HttpResponse<String>> made = atOnce(() -> server.post(project + "/languages", Map.of("language", "de")));
        assertThat(jdbc.queryForObject("select count(*) from project where version_of_id = ?", Integer.class, id))
                .isEqualTo(1);
        assertThat(made.stream().map(HttpResponse::statusCode))
                .containsOnly(200, 422)
                .containsOnlyOnce(200);
    }
}
