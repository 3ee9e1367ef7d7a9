package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;

/** Requests that no page sends: each has an apt status and a sentence. */
@ExtendWith(OutputCaptureExtension.class)
class StrangeRequestsTest extends ApplicationTest {

    private static void told(HttpResponse<String> answer, int status) {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(status);
        assertThat(answer.body()).doesNotContain("Exception");
    }

    @Test
    void daysOutsideOfEveryCalendarAreNoLastDayOfALink() {
        String project = server.project("Until", "A lamp.");
        for (String until : new String[] {"+999999999-12-31", "2100-01-01", "-0001-01-01", "2020-01-01"}) {
            told(server.post(project + "/shares", Map.of("follows", "true", "until", until)), 422);
        }
        told(server.post(project + "/shares", Map.of("follows", "true", "until", "someday")), 400);
    }

    @Test
    void aFormThatIsNoneIsNoFailure() {
        server.get("/");
        for (String method : new String[] {"PATCH", "PUT", "DELETE"}) {
            HttpResponse<String> answer = server.send(server.request("/projects")
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .header("X-XSRF-TOKEN", server.token())
                    .method(method, HttpRequest.BodyPublishers.ofString("a=%zz")));
            told(answer, 405);
        }
        HttpResponse<String> posted = server.send(server.request("/projects")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("X-XSRF-TOKEN", server.token())
                .POST(HttpRequest.BodyPublishers.ofString("a=%zz")));
        assertThat(posted.statusCode()).isLessThan(500);
    }

    @Test
    void aStreamOfEventsIsNothingElse() {
        String project = server.project("Streamed", "A lamp.");
        for (String address : new String[] {project + "/events", "/events"}) {
            told(server.send(server.request(address).setHeader("Accept", "image/png")), 406);
            told(server.send(server.request(address).setHeader("Accept", "text/html")), 406);
            told(server.send(server.request(address).setHeader("Accept", "text/html;q=x")), 400);
        }
    }

    @Test
    void theAddressOfErrorsIsNoPage() {
        told(server.get("/error"), 404);
        told(server.send(server.request("/error").setHeader("Accept", "application/json")), 404);
        told(server.post("/error", Map.of()), 404);
    }

    @Test
    void whatPeopleTypeWritesNoLineOfTheLog(CapturedOutput log) {
        server.get("/");
        String typed = "fog\n2026-01-01T00:00:00.000Z  INFO 1 --- forged line\r\u001b[31m";
        server.post("/projects", Map.of("name", typed));
        server.get("/projects/" + java.net.URLEncoder.encode(typed, java.nio.charset.StandardCharsets.UTF_8));
        org.slf4j.LoggerFactory.getLogger("org.logophon.app.test").warn("{} failed: {}", "cue", typed);
        assertThat(log.getAll().lines()).noneMatch(line -> line.startsWith("2026-01-01T00:00:00.000Z"));
        assertThat(log.getAll()).contains("cue failed: fog 2026-01-01").doesNotContain("\u001b[31m");
    }
}
