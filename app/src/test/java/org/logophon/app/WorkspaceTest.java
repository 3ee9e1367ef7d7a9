package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Workspaces: who is in one, what it has for itself, and whose name stands at what. */
class WorkspaceTest extends PeopleApplication {

    @Autowired
    private JdbcTemplate jdbc;

    @Test
    void aWorkspaceKeepsAnOwnerAndWhoIsTakenOutIsOutAtOnce() throws Exception {
        Server owner = keeper();
        String workspace = workspace(owner, named("Kept"));
        String project = project(owner, workspace, "Kept", "A lamp.");
        String name = named("Editor");
        Server editor = comes(owner, workspace, "editor", name);
        UUID id = jdbc.queryForObject("select id from person where name = ?", UUID.class, name);
        assertThat(sentence(owner.post(workspace + "/people/leave", Map.of()))).contains("has an owner");
        assertThat(editor.get(project + "/write").statusCode()).isEqualTo(200);
        HttpResponse<InputStream> stream = HttpClient.newBuilder()
                .cookieHandler(editor.cookies())
                .build()
                .send(
                        editor.request(project + "/events")
                                .setHeader("Accept", "text/event-stream")
                                .build(),
                        HttpResponse.BodyHandlers.ofInputStream());
        assertThat(stream.statusCode()).isEqualTo(200);
        assertThat(owner.post(workspace + "/people/members/" + id, Map.of("role", "listener"))
                        .statusCode())
                .isEqualTo(200);
        assertThat(editor.get(project + "/write").statusCode()).isEqualTo(403);
        CompletableFuture<byte[]> rest = CompletableFuture.supplyAsync(() -> {
            try {
                return stream.body().readAllBytes();
            } catch (IOException broken) {
                return new byte[0];
            }
        });
        assertThat(rest).as("its stream ends, and is asked for again").succeedsWithin(Duration.ofMinutes(6));
        assertThat(owner.post(workspace + "/people/members/" + id + "/remove", Map.of())
                        .statusCode())
                .isEqualTo(200);
        assertThat(editor.get(project + "/listen").statusCode()).isEqualTo(404);
        assertThat(editor.get("/").statusCode()).as("in no workspace any more").isEqualTo(403);
        assertThat(editor.get("/me").body()).contains("You belong to no workspace yet.");
        assertThat(owner.post(workspace + "/people/members/" + id + "/remove", Map.of())
                        .statusCode())
                .as("twice")
                .isEqualTo(404);
    }

    @Test
    void whoAsksForVeryMuchWaitsAndOthersDoNot() {
        Server owner = keeper();
        String workspace = workspace(owner, named("Patient"));
        String project = project(owner, workspace, "Patient", "A lamp.");
        Server hasty = comes(owner, workspace, "editor", named("Hasty"));
        Server other = comes(owner, workspace, "editor", named("Other"));
        HttpResponse<String> last = null;
        // thirty at once, and what comes back while they are answered
        for (int i = 0; i < 60 && (last == null || last.statusCode() == 200); i++) {
            last = hasty.get(project + "/file");
        }
        assertThat(last.statusCode()).isEqualTo(429);
        assertThat(sentence(last)).contains("Wait a moment, and go on.");
        assertThat(other.get(project + "/file").statusCode()).isEqualTo(200);
        assertThat(hasty.get(project + "/write").statusCode())
                .as("what costs little is answered")
                .isEqualTo(200);
    }

    @Test
    void eachWorkspaceHasListsOfItsOwn() {
        Server owner = keeper();
        String here = workspace(owner, named("Here"));
        String there = workspace(owner, named("There"));
        String mine = project(owner, here, named("Of here"), "The Tywyn lamp is very unique.");
        String other = project(owner, there, named("Of there"), "The Tywyn lamp is very unique.");
        owner.post(mine + "/watch", Map.of("avoid", "lamp", "instead", "light"));
        owner.post(mine + "/readings", Map.of("written", "Tywyn", "said", "Towin", "house", "true"));
        owner.post(mine + "/voices/isla/note", Map.of("note", "ours alone", "groups", "ours"));
        String voice = Server.parse(owner.post(
                        mine + "/voices/house", Map.of("name", named("Ours"), "base", "isla", "tunePace", "90")))
                .get("voice")
                .asString();
        owner.post(mine + "/deliver/sets", Map.of("name", "Set of ours"));
        owner.post(here + "/feed", Map.of("title", "Feed of ours"));
        HttpResponse<String> brought =
                owner.send(owner.request(mine + "/beds/sounds?shared=true&name=Sound+of+ours.wav")
                        .header("Content-Type", "application/octet-stream")
                        .header("X-XSRF-TOKEN", owner.token())
                        .POST(HttpRequest.BodyPublishers.ofByteArray(ToneFile.of(1, 0.3))));
        String sound = Server.parse(brought).get("id").asString();
        for (String list : new String[] {"/watch", "/readings"}) {
            assertThat(owner.get(mine + list).body()).containsAnyOf("light", "Towin");
            assertThat(owner.get(other + list).body()).doesNotContain("light", "Towin");
        }
        assertThat(owner.get(mine + "/cast?search=isla&language=English").body())
                .contains("ours alone");
        assertThat(owner.get(other + "/cast?search=isla&language=English").body())
                .doesNotContain("ours alone", voice);
        assertThat(sentence(owner.post(other + "/cast", Map.of("role", "Narrator", "voice", voice))))
                .startsWith("There is no voice");
        assertThat(owner.post(other + "/voices/" + voice + "/remove", Map.of()).statusCode())
                .isEqualTo(404);
        assertThat(owner.get(mine + "/beds/list").body()).contains("Sound of ours");
        assertThat(owner.get(other + "/beds/list").body()).doesNotContain("Sound of ours");
        assertThat(owner.post(other + "/beds", Map.of("sound", sound)).statusCode())
                .isEqualTo(404);
        assertThat(owner.get(here + "/feed").body()).contains("Feed of ours");
        assertThat(owner.get(there + "/feed").body()).doesNotContain("Feed of ours");
        assertThat(owner.get(here).body()).contains("Of here").doesNotContain("Of there");
        assertThat(owner.get(there).body()).contains("Of there").doesNotContain("Of here");
        // the house's reading goes only where it belongs, by its id too
        String reading =
                owner.get(mine + "/readings").body().replaceAll("(?s).*readings/([0-9a-f-]{36})/remove.*", "$1");
        assertThat(owner.post(other + "/readings/" + reading + "/remove", Map.of())
                        .statusCode())
                .isEqualTo(404);
        // and a copy stays where its project is
        owner.post(mine + "/duplicate", Map.of());
        assertThat(owner.get(here).body()).contains("(copy)");
        assertThat(owner.get(there).body()).doesNotContain("(copy)");
    }

    @Test
    void notesApprovalsAndWindowsHaveNames() {
        Server owner = keeper();
        String workspace = workspace(owner, named("Names"));
        String project = project(owner, workspace, "Names", "The lamp burns.");
        String name = named("Listener");
        Server listener = comes(owner, workspace, "listener", name);
        String cue = owner.cues(project).get(0).get("id").asString();
        assertThat(listener.post(project + "/cues/" + cue + "/notes", Map.of("at", "4", "remark", "Slower."))
                        .statusCode())
                .isEqualTo(200);
        owner.post(project + "/cues/" + cue + "/notes", Map.of("at", "4", "remark", "Mine."));
        JsonNode notes = owner.json(project + "/cues/" + cue + "/notes");
        assertThat(notes.toString()).contains(name, "Morwenna");
        for (JsonNode note : notes) {
            boolean own = note.get("writer").asString().equals(name);
            assertThat(listener.post(
                                    project + "/notes/" + note.get("id").asString(),
                                    Map.of(
                                            "remark",
                                            "Otherwise.",
                                            "version",
                                            note.get("version").asString()))
                            .statusCode())
                    .isEqualTo(own ? 200 : 403);
            assertThat(listener.post(project + "/notes/" + note.get("id").asString() + "/delete", Map.of())
                            .statusCode())
                    .isEqualTo(own ? 200 : 403);
        }
        owner.post(project + "/here", Map.of("page", UUID.randomUUID().toString(), "step", "write", "cue", cue));
        JsonNode others = Server.parse(listener.post(
                project + "/here", Map.of("page", UUID.randomUUID().toString(), "step", "listen")));
        assertThat(others.get(0).get("person").asString()).isEqualTo("Morwenna");
    }
}
