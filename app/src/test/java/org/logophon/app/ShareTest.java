package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Links for others: what they give, and what they don't. */
@Execution(ExecutionMode.CONCURRENT)
class ShareTest extends ApplicationTest {

    @Autowired
    private JdbcTemplate jdbc;

    private String rendered(String name, String script) {
        String project = server.project(name, script);
        render(project);
        return project;
    }

    private void render(String project) {
        server.post(project + "/render", Map.of("step", "LISTEN"));
        Server.await(
                "rendered", () -> server.ready(project) == server.cues(project).size());
    }

    private String link(String project, Map<String, String> wishes) {
        HttpResponse<String> made = server.post(project + "/shares", wishes);
        assertThat(made.statusCode()).as(made.body()).isEqualTo(200);
        return Server.parse(made).get("address").asString();
    }

    private JsonNode programme(String link) {
        return server.json(link + "/programme");
    }

    private String delivered(String project) {
        server.post(project + "/deliveries", Map.of("pattern", "{number}", "target", "-19"));
        Server.await("built", () -> !server.get(project + "/deliveries").body().contains("<progress"));
        return jdbc.queryForObject(
                "select id::text from delivery where project_id = ?::uuid order by ordinal desc limit 1",
                String.class,
                project.replace("/projects/", ""));
    }

    private HttpResponse<String> note(String link, JsonNode cue, String remark, String name) {
        return server.post(
                link + "/cues/" + cue.get("id").asString() + "/notes",
                Map.of("take", cue.get("take").asString(), "at", "0", "remark", remark, "name", name));
    }

    private HttpResponse<String> approve(String link, JsonNode cue, String more, String name) {
        return server.post(
                link + "/cues/" + cue.get("id").asString() + "/approval" + more,
                Map.of("take", cue.get("take").asString(), "name", name));
    }

    @Test
    void whoHasTheLinkHearsNotesAndApprovesAndSeesNothingElse() {
        String project = rendered("Shared", "# Night\n\nWind north-west, force nine.\n\nNobody slept that night.");
        String other = rendered("Kept to oneself", "Nobody else hears this.");
        String link = link(project, Map.of("name", "Ffion"));
        String token = link.replace("/s/", "");
        assertThat(token).hasSizeGreaterThanOrEqualTo(32);
        assertThat(jdbc.queryForObject(
                        "select count(*) from share where row_to_json(share)::text like '%' || ? || '%'",
                        Integer.class, token))
                .as("what stands in the address is nowhere in the database")
                .isZero();

        HttpResponse<String> page = server.get(link);
        assertThat(page.statusCode()).isEqualTo(200);
        assertThat(page.headers().firstValue("X-Robots-Tag").orElse("")).contains("noindex");
        assertThat(page.body())
                .contains("Shared")
                .doesNotContain("/projects", project.replace("/projects/", ""), "http://", "https://www.");
        JsonNode heard = programme(link);
        assertThat(heard.get("cues")).hasSize(2);
        assertThat(heard.toString()).doesNotContain(project.replace("/projects/", ""), "voice", "recipe");
        JsonNode cue = heard.get("cues").get(0);
        assertThat(cue.get("text").asString()).isEqualTo("Wind north-west, force nine.");
        assertThat(new String(server.bytes(cue.get("sound").asString()), 0, 4, StandardCharsets.US_ASCII))
                .isEqualTo("RIFF");
        assertThat(server.json(link + "/takes/" + cue.get("take").asString() + "/words"))
                .hasSize(4);
        String foreign = server.cues(other).get(0).get("sound").asString().replaceAll(".*/takes/([^/]*)/.*", "$1");
        assertThat(server.get(link + "/takes/" + foreign + "/x.wav").statusCode())
                .isEqualTo(404);
        assertThat(server.get(link + "/takes/" + foreign + "/words").statusCode())
                .isEqualTo(404);

        assertThat(note(link, cue, "Too quiet.", "Ffion").statusCode()).isEqualTo(200);
        Server.await(
                "the note in Listen",
                () -> server.json(project + "/notes").toString().contains("\"writer\":\"Ffion\""));
        assertThat(programme(link).get("notes").get(0).get("word").asString()).isEqualTo("Wind");
        assertThat(note(link, cue, "Too quiet.", " ").statusCode()).isEqualTo(422);
        assertThat(note(link, cue, " ", "Ffion").statusCode()).isEqualTo(422);

        assertThat(approve(link, cue, "", "Ffion").statusCode()).isEqualTo(200);
        assertThat(server.cues(project).get(0).get("review").asString()).isEqualTo("approved");
        assertThat(programme(link).get("cues").get(0).get("approved").asString())
                .isEqualTo("Ffion");
        approve(link, cue, "/withdraw", "Ffion");
        assertThat(server.cues(project).get(0).get("review").asString()).isEqualTo("unheard");
        JsonNode own = server.cues(project).get(1);
        server.post(
                project + "/cues/" + own.get("id").asString() + "/approval",
                Map.of("sound", own.get("sound").asString()));
        approve(link, heard.get("cues").get(1), "/withdraw", "Ffion");
        assertThat(server.cues(project).get(1).get("review").asString())
                .as("what the house approved a link doesn't take back")
                .isEqualTo("approved");
        assertThat(programme(link).get("cues").get(1).get("approved").asString())
                .as("and doesn't show")
                .isEmpty();
    }

    @Test
    void allOfItIsApprovedAsItWasHeardOrNotAtAll() {
        String project = rendered("Approved", "Clear night.\n\nEvery star is out.");
        String link = link(project, Map.of());
        JsonNode heard = programme(link);
        String whole = "{\"takes\":[\"%s\",\"%s\"],\"name\":\"Ffion\"}"
                .formatted(
                        heard.get("cues").get(0).get("take").asString(),
                        heard.get("cues").get(1).get("take").asString());
        server.save(project, "Clear night.\n\nEvery light is out.", 1);
        render(project);
        assertThat(json(link + "/approval", whole).statusCode()).isEqualTo(409);
        assertThat(server.cues(project).toString()).doesNotContain("\"review\":\"approved\"");
        JsonNode now = programme(link);
        assertThat(now.get("stamp")).isNotEqualTo(heard.get("stamp"));
        assertThat(note(link, heard.get("cues").get(1), "Better before.", "Ffion")
                        .statusCode())
                .isEqualTo(409);
        String again = whole.replace(
                heard.get("cues").get(1).get("take").asString(),
                now.get("cues").get(1).get("take").asString());
        assertThat(json(link + "/approval", again).body()).contains("All cues approved.");
        assertThat(json(link + "/approval", again).statusCode()).as("twice").isEqualTo(200);
        assertThat(server.cues(project).get(1).get("review").asString()).isEqualTo("approved");
    }

    private HttpResponse<String> json(String path, String body) {
        return server.send(server.request(path)
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", server.token())
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    @Test
    void aPassPhraseIsAskedForAndGuessingGetsSlow() {
        String project = rendered("Behind a phrase", "Nobody thanks a lamp.");
        String link = link(project, Map.of("phrase", "wind north-west"));
        assertThat(server.get(link).body()).contains("pass phrase").doesNotContain("Behind a phrase");
        assertThat(server.get(link + "/programme").statusCode()).isEqualTo(403);
        for (int i = 0; i < 5; i++) {
            assertThat(server.post(link + "/phrase", Map.of("phrase", "wind " + i))
                            .statusCode())
                    .isEqualTo(403);
        }
        HttpResponse<String> slow = server.post(link + "/phrase", Map.of("phrase", "wind north-west"));
        assertThat(slow.statusCode()).as("also the right one waits").isEqualTo(429);
        assertThat(slow.body()).contains("Try again in");
        jdbc.update("update share set wait_until = null where project_id = ?::uuid", project.replace("/projects/", ""));
        HttpResponse<String> right = server.post(link + "/phrase", Map.of("phrase", "wind north-west"));
        assertThat(right.statusCode()).isEqualTo(200);
        assertThat(right.headers().firstValue("Set-Cookie").orElse("")).contains("HttpOnly", "Path=" + link);
        assertThat(programme(link).get("cues")).hasSize(1);
        assertThat(server.post(project + "/shares", Map.of("phrase", "abc")).statusCode())
                .isEqualTo(422);
        assertThat(server.post(project + "/shares", Map.of("phrase", "ß".repeat(40)))
                        .statusCode())
                .as("longer than is looked at")
                .isEqualTo(422);
    }

    @Test
    void aLinkThatEndedOrWasTakenBackGivesNothing() {
        String project = rendered("Ends", "The lamp is out.");
        assertThat(server.post(
                                project + "/shares",
                                Map.of("until", LocalDate.now().minusDays(1).toString()))
                        .statusCode())
                .isEqualTo(422);
        assertThat(server.post(project + "/shares", Map.of("until", "soon")).statusCode())
                .isEqualTo(400);
        String ends = link(project, Map.of("until", LocalDate.now().toString(), "name", "for today"));
        String back = link(project, Map.of("name", "revoked"));
        JsonNode cue = programme(ends).get("cues").get(0);
        jdbc.update(
                "update share set until = now() - interval '1 second' where name = 'for today' and "
                        + "project_id = ?::uuid",
                project.replace("/projects/", ""));
        for (JsonNode line : server.json(project + "/shares")) {
            if (line.get("name").asString().equals("revoked")) {
                server.post(project + "/shares/" + line.get("id").asString() + "/take-back", Map.of());
                assertThat(server.post(project + "/shares/" + line.get("id").asString() + "/take-back", Map.of())
                                .statusCode())
                        .as("twice")
                        .isEqualTo(200);
            }
        }
        assertThat(server.json(project + "/shares").toString()).contains("\"ended\"", "\"taken back\"");
        for (String link : new String[] {ends, back}) {
            assertThat(server.get(link).statusCode()).isEqualTo(410);
            assertThat(server.get(link).body()).contains("Ask whoever sent it").doesNotContain("Back to the shelf");
            assertThat(server.get(link + "/programme").statusCode()).isEqualTo(410);
            assertThat(server.get(link + "/takes/" + cue.get("take").asString() + "/x.wav")
                            .statusCode())
                    .isEqualTo(410);
            assertThat(note(link, cue, "Late.", "Ffion").statusCode()).isEqualTo(410);
            assertThat(server.get(link + "/download").statusCode()).isEqualTo(410);
        }
        String left = link(project, Map.of());
        server.post(project + "/delete", Map.of());
        assertThat(server.get(left).statusCode()).as("with its project").isEqualTo(410);
        assertThat(server.get(left).body()).doesNotContain("Back to the shelf", "restore");
        server.post(project + "/restore", Map.of());
        assertThat(server.get(left).statusCode()).isEqualTo(200);
        assertThat(server.get("/s/nothing-is-here").statusCode()).isEqualTo(404);
        String other = server.project("Another", "Somebody else's.");
        String share = server.json(project + "/shares").get(0).get("id").asString();
        assertThat(server.post(other + "/shares/" + share + "/take-back", Map.of())
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void aDeliveryIsHeardAsItWasDeliveredOrFollowed() {
        String project = rendered("Delivered and shared", "Words that will change.");
        String first = delivered(project);
        String stays = link(project, Map.of("delivery", first));
        Map<String, String> wishes = new HashMap<>(Map.of("delivery", first, "follows", "true", "download", "true"));
        String follows = link(project, wishes);
        server.save(project, "Words that have changed.", 1);
        render(project);
        JsonNode before = programme(stays);
        assertThat(before.get("cues").get(0).get("text").asString()).isEqualTo("Words that will change.");
        assertThat(before.get("told").asString()).isEqualTo("delivery 1");
        delivered(project);
        JsonNode after = programme(stays);
        assertThat(after.get("cues").get(0).get("text").asString()).isEqualTo("Words that will change.");
        assertThat(after.get("told").asString()).contains("there is a newer one, delivery 2");
        assertThat(after.get("stamp")).isNotEqualTo(before.get("stamp"));
        assertThat(programme(follows).get("cues").get(0).get("text").asString()).isEqualTo("Words that have changed.");

        JsonNode old = after.get("cues").get(0);
        note(stays, old, "It was better so.", "Ffion");
        assertThat(server.json(project + "/notes").get(0).get("word").asString())
                .as("a note on an earlier text finds its word in the later one")
                .isEqualTo("Words");
        approve(stays, old, "", "Ffion");
        assertThat(server.cues(project).get(0).get("review").asString())
                .as("approved as it was delivered, and changed since")
                .isEqualTo("changed");
        assertThat(server.get(stays + "/download").statusCode()).isEqualTo(403);
        assertThat(new String(server.bytes(follows + "/download"), 0, 2, StandardCharsets.US_ASCII))
                .isEqualTo("PK");
        assertThat(server.post(
                                project + "/shares",
                                Map.of("delivery", java.util.UUID.randomUUID().toString()))
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void whatStrangersWriteIsShownAsWritten() {
        String project = rendered("Hostile", "The lamp.");
        String link = link(project, Map.of("name", "<b>x</b>"));
        JsonNode cue = programme(link).get("cues").get(0);
        note(link, cue, "<img src=x onerror=alert(1)>", "<script>");
        assertThat(server.get(link).body()).doesNotContain("onerror");
        assertThat(server.json(project + "/notes").get(0).get("remark").asString())
                .isEqualTo("<img src=x onerror=alert(1)>");
        assertThat(note(link, cue, "x".repeat(3_000), "Ffion").statusCode()).isEqualTo(422);
        assertThat(note(link, cue, "x", "y".repeat(100)).statusCode()).isEqualTo(422);
        assertThat(server.post(
                                link + "/cues/" + cue.get("id").asString() + "/notes",
                                Map.of("take", "no", "at", "0", "remark", "x", "name", "y"))
                        .statusCode())
                .isEqualTo(400);
        assertThat(server.get("/s/" + URLEncoder.encode("%00' or 1=1", StandardCharsets.UTF_8))
                        .statusCode())
                .isIn(400, 404);
    }
}
