package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Who else has a project open. */
class HereTest extends ApplicationTest {

    @Autowired
    private JdbcTemplate jdbc;

    private JsonNode seen(String project, String page, String step, String cue) {
        HttpResponse<String> answer = server.post(project + "/here", Map.of("page", page, "step", step, "cue", cue));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Server.parse(answer);
    }

    @Test
    void windowsAreToldOfOneAnotherAndForgottenWhenTheySayNothing() {
        String project = server.project("Together", "One.\n\nTwo.");
        String other = server.project("Elsewhere", "Three.");
        String mine = UUID.randomUUID().toString();
        String theirs = UUID.randomUUID().toString();
        JsonNode cues = server.cues(project);
        assertThat(seen(project, mine, "write", cues.get(0).get("id").asString()))
                .isEmpty();
        JsonNode told = seen(project, theirs, "direct", cues.get(1).get("id").asString());
        assertThat(told).hasSize(1);
        assertThat(told.get(0).get("step").asString()).isEqualTo("write");
        assertThat(told.get(0).get("number").asString()).isEqualTo("010");
        assertThat(server.post(
                                other + "/here",
                                Map.of(
                                        "page",
                                        mine,
                                        "step",
                                        "write",
                                        "cue",
                                        cues.get(0).get("id").asString()))
                        .statusCode())
                .as("a cue of another project")
                .isEqualTo(404);
        assertThat(server.post(project + "/here", Map.of("page", mine, "step", "<script>"))
                        .statusCode())
                .isEqualTo(422);
        jdbc.update("update here set seen_at = seen_at - interval '1 minute' where page_id = ?::uuid", theirs);
        assertThat(seen(project, mine, "write", cues.get(0).get("id").asString()))
                .as("it said nothing for a minute")
                .isEmpty();
        seen(project, theirs, "direct", cues.get(1).get("id").asString());
        assertThat(server.post(project + "/here/leave", Map.of("page", theirs)).statusCode())
                .isEqualTo(204);
        assertThat(seen(project, mine, "write", cues.get(0).get("id").asString()))
                .isEmpty();
    }
}
