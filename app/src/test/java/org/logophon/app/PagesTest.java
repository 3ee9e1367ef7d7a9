package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** What the server answers to good, bad and hostile requests. */
class PagesTest extends ApplicationTest {

    private static final String HOSTILE = "<script>alert(1)</script>\u202e\" onmouseover=\"x";

    @Test
    void theMarginSaysWhatTheScriptBecomes() {
        String project = server.project(
                "Margin",
                "# The headland\n\nNARRATOR: At the top stands a lamp.\n\nKEEPER: Fog till "
                        + "noon.\n\n***\n\n// a note\n");
        JsonNode state = server.json(project + "/script");
        assertThat(state.get("cues"))
                .extracting(c -> c.get("number").asString())
                .containsExactly("010", "020", "030");
        assertThat(state.get("cues"))
                .extracting(c -> c.get("role").asString())
                .containsExactly("Narrator", "Keeper", "Keeper");
        assertThat(state.get("cues").get(0).get("problem").isNull()).isTrue();
        assertThat(state.get("cues").get(1).get("problem").asString())
                .isEqualTo("Keeper has no voice yet. Choose one on Cast.");
        assertThat(state.get("cues").get(2).get("problem").asString()).contains("no letter and no digit");
        assertThat(state.get("cues").get(0).get("seconds").asDouble()).isBetween(1.0, 5.0);
        assertThat(state.get("words").asInt()).isEqualTo(9);
    }

    @Test
    void twoTabsNeverOverwriteOneAnother() {
        String project = server.project("Tabs", "First words.");
        assertThat(server.save(project, "Words of tab one.", 1).statusCode()).isEqualTo(200);
        HttpResponse<String> second = server.save(project, "Words of tab two.", 1);
        assertThat(second.statusCode()).isEqualTo(409);
        assertThat(Server.parse(second).get("text").asString()).isEqualTo("Words of tab one.");
        assertThat(Server.parse(second).get("sentence").asString()).contains("another window");
        assertThat(server.save(project, "Words of tab one.", 1).statusCode())
                .as("the same text again is no conflict")
                .isEqualTo(200);
        String cue = server.cues(project).get(0).get("id").asString();
        String version = server.version(project, cue, "cue");
        assertThat(server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "90", "version", version))
                        .body())
                .doesNotContain("another window");
        assertThat(server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "120", "version", version))
                        .body())
                .contains("changed in another window");
    }

    @Test
    void hostileTextIsEscapedEverywhere() {
        String project = server.project(HOSTILE, "# " + HOSTILE + "\n\n" + HOSTILE + "\n\nVISITOR: " + HOSTILE);
        for (String page : List.of("/", project + "/write", project + "/direct", project + "/deliver")) {
            assertThat(server.get(page).body())
                    .as(page)
                    .doesNotContain("<script>alert")
                    .doesNotContain("\" onmouseover=\"x");
        }
    }

    @Test
    void pagesForbidInlineScriptsAndOtherSites() {
        HttpResponse<String> page = server.get("/");
        assertThat(page.headers().firstValue("Content-Security-Policy").orElse(""))
                .contains("default-src 'self'")
                .doesNotContain("unsafe");
        assertThat(page.body())
                .doesNotContainPattern("<script(?![^>]*src=)[^>]*>")
                .doesNotContainPattern(" on[a-z]+=")
                .doesNotContain("style=\"");
        assertThat(page.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
        HttpResponse<String> forged = server.send(server.request("/projects")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("name=Forged")));
        assertThat(forged.statusCode()).isEqualTo(403);
        assertThat(server.get("/").body()).doesNotContain("Forged");
    }

    /** What browsers say of a page on another port, or another site (W3C, Fetch Metadata Request Headers; RFC 6454). */
    @ParameterizedTest
    @CsvSource({
        "Sec-Fetch-Site, same-site",
        "Sec-Fetch-Site, cross-site",
        "Sec-Fetch-Site, none",
        "Origin, http://localhost:1",
        "Origin, null"
    })
    void otherPagesMayNotAct(String header, String value) {
        server.get("/");
        HttpResponse<String> forged = server.send(server.request("/projects")
                .header(header, value)
                .header("X-XSRF-TOKEN", server.token())
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("name=Forged+with+a+token")));
        assertError(forged, 403, "from another site");
        assertThat(server.get("/").body()).doesNotContain("Forged with a token");
        assertThat(server.send(server.request("/projects")
                                .header("Sec-Fetch-Site", "same-origin")
                                .header("Origin", address())
                                .header("X-XSRF-TOKEN", server.token())
                                .header("Content-Type", "application/x-www-form-urlencoded")
                                .POST(HttpRequest.BodyPublishers.ofString("name=Our+own")))
                        .statusCode())
                .isEqualTo(302);
    }

    @Test
    void otherPagesMayLinkToOursAndReadNothing() {
        String project = server.project("Linked", "Fog.");
        assertThat(server.send(server.request(project + "/programme")
                                .header("Sec-Fetch-Site", "same-site")
                                .header("Sec-Fetch-Mode", "cors")
                                .GET())
                        .statusCode())
                .isEqualTo(403);
        assertThat(server.send(server.request(project + "/write")
                                .header("Sec-Fetch-Site", "cross-site")
                                .header("Sec-Fetch-Mode", "navigate")
                                .GET())
                        .statusCode())
                .isEqualTo(200);
    }

    @Test
    void whatIsAnotherProjectsIsNotFound() {
        String own = server.project("Own", "Fog.");
        String other = server.project("Other", "Wind.");
        String cue = server.cues(other).get(0).get("id").asString();
        server.post(other + "/readings", Map.of("written", "Wind", "said", "wynd", "as", "words", "scope", "project"));
        for (String address : List.of("/cues/" + cue + "/marks", "/cues/" + cue + "/ssml", "/direct?cue=" + cue)) {
            assertThat(server.get(own + address).statusCode()).as(address).isEqualTo(404);
        }
        for (String address : List.of(
                "/cues/" + cue + "/render",
                "/cues/" + cue + "/direction",
                "/cues/" + cue + "/marks/clear",
                "/takes/" + UUID.randomUUID() + "/keep",
                "/readings/" + UUID.randomUUID() + "/remove")) {
            assertThat(server.post(own + address, Map.of("version", "0")).statusCode())
                    .as(address)
                    .isEqualTo(404);
        }
        HttpResponse<String> dismissed = server.send(server.request(own + "/proof/dismiss")
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", server.token())
                .POST(HttpRequest.BodyPublishers.ofString(
                        "{\"cue\":\"" + cue + "\",\"kind\":\"NUMBER\",\"text\":\"1\"}")));
        assertThat(dismissed.statusCode()).isEqualTo(404);
    }

    @Test
    void errorsAreSentencesWithAnAptStatus() {
        String gone = "/projects/00000000-0000-0000-0000-000000000000";
        assertError(server.get(gone + "/write"), 404, "doesn’t exist".replace('’', '\''));
        assertError(server.get("/nowhere"), 404, "no page");
        assertError(server.get("/projects/not-a-uuid/write"), 400, "Reload");
        assertError(server.post("/projects", Map.of("name", "  ")), 422, "needs a name");
        assertError(server.post("/projects", Map.of("name", "x".repeat(121))), 422, "121");
        assertError(server.post("/projects", Map.of("name", "x", "target", "soon")), 422, "6:00");
        String project = server.project("Errors", "Words.");
        assertError(server.save(project, "x".repeat(2_000_001), 1), 422, "2,000,001 characters");
        String cue = server.cues(project).get(0).get("id").asString();
        for (Map<String, String> wrong : List.of(
                Map.of("pace", "500"), Map.of("pitch", "high"), Map.of("loudness", "1e9"), Map.of("pause", "-1"))) {
            Map<String, String> form = new java.util.HashMap<>(wrong);
            form.put("version", server.version(project, cue, "cue"));
            assertThat(server.post(project + "/cues/" + cue + "/direction", form)
                            .body())
                    .as(wrong.toString())
                    .containsPattern("(outside|is none|out of range)")
                    .doesNotContain("Exception");
        }
        assertThat(server.post(project + "/deliveries", Map.of("pattern", "{x}", "target", "-19"))
                        .body())
                .contains("{x} is no field");
        assertThat(server.post(project + "/deliveries", Map.of("pattern", "", "target", "-19"))
                        .body())
                .contains("No cue has a take yet");
    }

    private static void assertError(HttpResponse<String> response, int status, String words) {
        assertThat(response.statusCode()).as(response.body()).isEqualTo(status);
        assertThat(response.body().replace("&#39;", "'"))
                .contains(words)
                .doesNotContain("Exception")
                .doesNotContain("at org.");
    }

    @Test
    void aProjectCanBeRenamedDuplicatedDeletedAndBroughtBack() {
        String project = server.project("Shelf life", "One cue.");
        server.post(project + "/name", Map.of("name", "Second name"));
        server.post(project + "/duplicate", Map.of());
        assertThat(server.get("/").body())
                .contains("Second name", "Second name (copy)")
                .doesNotContain("Shelf life");
        server.post(project + "/delete", Map.of());
        server.post(project + "/delete", Map.of());
        assertThat(server.get(project + "/write").statusCode()).isEqualTo(404);
        server.post(project + "/restore", Map.of());
        assertThat(server.json(project + "/script").get("cues")).hasSize(1);
    }

    @Test
    void anyTextCanBeSavedAndAnEmptyScriptIsFine() {
        String project = server.project("Odd", "a\u0000b \u202e \ud83d\ude00 \ud800");
        assertThat(server.json(project + "/script").get("cues")).hasSize(1);
        assertThat(server.save(project, "", 1).statusCode()).isEqualTo(200);
        for (String page : List.of("/write", "/direct", "/deliver", "/programme")) {
            assertThat(server.get(project + page).statusCode()).as(page).isEqualTo(200);
        }
    }

    @Test
    void cuesKeepTheirDirectionWhileTheTextAroundThemChanges() {
        String project = server.project("Identity", "The lamp was lit.\n\nFog until noon, wind light.\n\nHome.");
        String fog = server.cues(project).get(1).get("id").asString();
        server.post(project + "/cues/" + fog + "/direction", Map.of("pace", "80", "version", "0"));
        server.save(project, "A new opening.\n\nThe lamp was lit.\n\nFog until two, wind light.", 1);
        assertThat(server.cues(project).get(2).get("id").asString()).isEqualTo(fog);
        assertThat(server.get(project + "/direct?cue=" + fog).body()).contains("value=\"80\"");
        server.save(project, "Only this.", 2);
        server.save(project, "Only this.\n\nFog until two, wind light.", 3);
        assertThat(server.cues(project).get(1).get("id").asString())
                .as("words that come back bring their cue")
                .isEqualTo(fog);
    }

    @Test
    void theShelfFindsByWordsOfANameAndShowsAPageAtOnce() {
        for (int i = 0; i < 13; i++) {
            server.project("Tidal <b>record " + i, "One cue.");
        }
        assertThat(server.get("/").body()).contains("Find one of");
        String found = server.get("/shelf?find=RECORD+tidal").body();
        assertThat(found.split("class=\"title\"", -1)).hasSize(14);
        assertThat(found).contains("Tidal &lt;b&gt;record 7", "find=RECORD").doesNotContain("<b>record");
        assertThat(server.get("/shelf?find=tidal+record+12").body().split("class=\"title\"", -1))
                .hasSize(2);
        assertThat(server.get("/shelf?find=%3Ci%3Enone").body())
                .contains("No project is called like “&lt;i&gt;none”")
                .doesNotContain("Nothing on the shelf yet");
    }
}
