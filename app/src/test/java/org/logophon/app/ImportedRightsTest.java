package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** What a project file brings belongs to the workspace that it comes into, and reaches nothing of any other. */
class ImportedRightsTest extends PeopleApplication {

    @Autowired
    private JdbcTemplate jdbc;

    private Server owner;
    private String here;
    private String there;
    private Server stranger;

    @BeforeEach
    void twoWorkspaces() {
        owner = keeper();
        here = workspace(owner, named("Brings"));
        there = workspace(owner, named("Beside"));
        stranger = comes(owner, there, "owner", named("Stranger"));
    }

    private static void checked(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    }

    private String brought(Server who, String workspace, byte[] file) {
        HttpResponse<String> answer = ProjectFile.bring(who, workspace, file);
        checked(answer);
        return Server.parse(answer).get("address").asString().replace("/write", "");
    }

    private static JsonNode sound(Server who, String project, String name) {
        for (JsonNode sound : who.json(project + "/beds/list").get("sounds")) {
            if (sound.get("name").asString().equals(name)) {
                return sound;
            }
        }
        return null;
    }

    private static UUID id(String of) {
        return UUID.fromString(of.substring(of.lastIndexOf('/') + 1));
    }

    @Test
    void soundsOfAFileAreTheImportingWorkspacesAlone() {
        String from = project(owner, here, "With a sound", "A lamp.");
        String bell = named("Bell of ours");
        owner.get(from + "/beds");
        checked(owner.send(owner.request(from + "/beds/sounds?name=" + bell.replace(' ', '+') + ".wav")
                .header("Content-Type", "application/octet-stream")
                .header("X-XSRF-TOKEN", owner.token())
                .POST(HttpRequest.BodyPublishers.ofByteArray(ToneFile.of(0.5, 0.2)))));
        String shipped = "Room tone";
        checked(owner.post(
                from + "/beds",
                Map.of("sound", sound(owner, from, bell).get("id").asString())));
        checked(owner.post(
                from + "/beds",
                Map.of("sound", sound(owner, from, shipped).get("id").asString())));

        String to = brought(owner, here, owner.bytes(from + "/file"));
        String other = project(stranger, there, "Beside it", "A lamp.");
        assertThat(sound(stranger, other, bell))
                .as("seen from another workspace")
                .isNull();
        assertThat(jdbc.queryForObject(
                        "select count(*) from sound_file where name = ? and workspace_id is null", Integer.class, bell))
                .isZero();
        JsonNode own = sound(owner, to, bell);
        checked(owner.post(to + "/beds/sounds/" + own.get("id").asString(), Map.of("licence", "ours")));
        assertThat(jdbc.queryForObject("select count(*) from sound_file where name = ?", Integer.class, shipped))
                .as("what comes with Logophon is there once")
                .isEqualTo(1);
        assertThat(owner.json(to + "/beds/list").get("beds")).hasSize(2);
    }

    @Test
    void anotherWorkspacesVoiceIsNotNamedByAFile() throws IOException {
        String theirs = project(stranger, there, "Theirs", "KEEPER: A lamp.");
        String voice = Server.parse(
                        stranger.post(theirs + "/voices/house", Map.of("base", "hamish", "name", named("Of theirs"))))
                .get("voice")
                .asString();
        String from = project(owner, here, named("Names a voice"), "KEEPER: A lamp.");
        checked(owner.post(from + "/cast", Map.of("role", "Keeper", "voice", "hamish")));
        byte[] naming =
                ProjectFile.with(owner.bytes(from + "/file"), "rows/role.jsonl", "\"hamish\"", "\"" + voice + "\"");
        String to = brought(owner, here, naming);
        assertThat(jdbc.queryForList("select voice_id from role where project_id = ?", String.class, id(to)))
                .noneMatch(voice::equals);
        assertThat(owner.get(to + "/cast").statusCode()).isEqualTo(200);
        // also one that came in before this was looked at
        jdbc.update("update role set voice_id = ? where project_id = ?", voice, id(from));
        HttpResponse<String> removed = stranger.post(theirs + "/voices/" + voice + "/remove", Map.of());
        assertThat(removed.statusCode()).as(removed.body()).isEqualTo(200);
    }

    @Test
    void aVoiceOfOnesOwnComesAlongAndIsNotMadeTwice() {
        String from = project(owner, here, named("Has a voice"), "KEEPER: A lamp.");
        String name = named("Our own");
        String voice = Server.parse(owner.post(from + "/voices/house", Map.of("base", "hamish", "name", name)))
                .get("voice")
                .asString();
        checked(owner.post(from + "/cast", Map.of("role", "Keeper", "voice", voice)));
        byte[] file = owner.bytes(from + "/file");
        assertThat(jdbc.queryForList(
                        "select voice_id from role where project_id = ? and name = 'Keeper'",
                        String.class,
                        id(brought(owner, here, file))))
                .containsExactly(voice);
        String theirs = brought(stranger, there, file);
        String came = jdbc.queryForObject(
                "select voice_id from role where project_id = ? and name = 'Keeper'", String.class, id(theirs));
        assertThat(came).isNotEqualTo(voice).startsWith("house-");
        assertThat(jdbc.queryForObject("select name from house_voice where id = ?", String.class, came))
                .isEqualTo(name);
    }
}
