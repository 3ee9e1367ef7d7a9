package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The house as programs and its keeper see it. */
class StatusTest extends ApplicationTest {

    @Test
    void healthSaysHowDatabaseWorkersQueueAndDiskAre() {
        JsonNode health = server.json("/actuator/health");
        assertThat(health.get("status").asString()).isEqualTo("UP");
        for (String part : new String[] {"db", "workers", "queue", "disk"}) {
            assertThat(health.get("components").get(part).get("status").asString())
                    .as(part)
                    .isEqualTo("UP");
        }
    }

    /** The text format of Prometheus, version 0.0.4. */
    @Test
    void figuresAreThereForPrometheusAndCountWhatIsRendered() {
        String project =
                server.project("Counted", "A line that nobody has said before, number " + System.nanoTime() + ".");
        double before = made();
        server.post(project + "/render", Map.of("step", "DIRECT"));
        Server.await("ready", () -> server.ready(project) == 1);
        assertThat(made()).isGreaterThan(before);
        String figures = figures();
        assertThat(figures)
                .contains(
                        "# TYPE logophon_jobs_waiting gauge",
                        "logophon_jobs_oldest_seconds",
                        "logophon_workers ",
                        "jvm_memory_used_bytes{area=\"heap\"",
                        "hikaricp_connections_active");
        assertThat(figures).as("what people write is no figure").doesNotContain("nobody has said", "Counted");
        assertThat(server.get("/status").body()).contains("Workers", "connections in use", "Slowest recently");
    }

    private String figures() {
        HttpResponse<String> answer =
                server.send(server.request("/actuator/prometheus").setHeader("Accept", "text/plain"));
        assertThat(answer.statusCode()).isEqualTo(200);
        return answer.body();
    }

    /** Renders that have been made, of all engines together. */
    private double made() {
        return figures()
                .lines()
                .filter(line -> line.startsWith("logophon_render_seconds_count") && line.contains("outcome=\"made\""))
                .mapToDouble(line -> Double.parseDouble(line.substring(line.lastIndexOf(' '))))
                .sum();
    }

    @Test
    void everyAnswerHasAnIdAndKeepsOneThatABalancerGave() {
        assertThat(server.get("/").headers().firstValue("X-Request-Id"))
                .hasValueSatisfying(id -> assertThat(id).matches("[0-9a-f]{16}"));
        assertThat(server.send(server.request("/").header("X-Request-Id", "balancer-0042"))
                        .headers()
                        .firstValue("X-Request-Id"))
                .contains("balancer-0042");
        assertThat(server.send(server.request("/").header("X-Request-Id", "<script>x</script>"))
                        .headers()
                        .firstValue("X-Request-Id"))
                .hasValueSatisfying(id -> assertThat(id).matches("[0-9a-f]{16}"));
    }
}
