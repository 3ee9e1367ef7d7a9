package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A project as one file: out of one house, into another. */
class TransferTest extends ApplicationTest {

    private static final String SCRIPT =
            "# Arrival\n\nNARRATOR: The lamp of %s was lit at four.\n\nKEEPER: The fog of %1$s came in "
                    + "from the north-west.";

    private static final Map<String, String> DELIVERY =
            Map.of("asked", "true", "parts", "clips", "format", "flac", "pattern", "{number}", "target", "-19");

    @Autowired
    private JdbcTemplate jdbc;

    /** No two tests say the same: what one forgets is nobody else's. */
    private String script;

    private String project;
    private String keeper;
    private byte[] file;

    @BeforeEach
    void make() throws Exception {
        script = SCRIPT.formatted(Integer.toString(System.identityHashCode(this), 36));
        project = server.project("Moved " + UUID.randomUUID(), script);
        keeper = Server.parse(server.post(
                        project + "/voices/house",
                        Map.of("base", "hamish", "name", "Moved " + UUID.randomUUID(), "tunePitch", "-1")))
                .get("voice")
                .asString();
        server.post(project + "/cast", Map.of("role", "Keeper", "voice", keeper));
        String cue = server.cues(project).get(1).get("id").asString();
        server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "80", "version", "0"));
        server.post(project + "/render", Map.of("step", "DIRECT"));
        Server.await("both are ready", () -> server.ready(project) == 2);
        server.post(project + "/cues/" + cue + "/notes", Map.of("remark", "Slower still.", "at", "4"));
        server.post(project + "/deliveries", DELIVERY);
        Server.await(
                "it is delivered",
                () -> server.get(project + "/deliveries").body().contains("/file\""));
        HttpResponse<String> head = server.get(project + "/file");
        assertThat(head.headers().firstValue("Content-Disposition").orElseThrow())
                .contains("moved-", ".project.zip");
        file = server.bytes(project + "/file");
    }

    private HttpResponse<String> bring(byte[] sent) {
        return ProjectFile.bring(server, "", sent);
    }

    private String brought(byte[] sent) {
        HttpResponse<String> answer = bring(sent);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Server.parse(answer).get("address").asString().replace("/write", "");
    }

    private static UUID id(String of) {
        return UUID.fromString(of.substring(of.lastIndexOf('/') + 1));
    }

    /** What is heard, without what things are called here. */
    private List<String> heard(String of) {
        return jdbc.queryForList("""
                select concat_ws(' ', c.number, c.scene, c.role, c.text, c.pace_percent, t.ordinal, t.source, s.hash,
                  c.kept_recipe, (select string_agg(n.remark || n.start_index, ',') from note n where n.cue_id = c.id))
                from cue c join take t on t.id = c.kept_take join speech sp on sp.id = t.speech_id join sound s on s.id
                = sp.sound_id
                where c.project_id = ? order by c.position""", String.class, id(of));
    }

    /** As in a house that has never seen it. */
    private void forget() {
        UUID of = id(project);
        List<UUID> speeches = jdbc.queryForList(
                "select distinct speech_id from take t join cue c on c.id = t.cue_id where c.project_id = ?",
                UUID.class,
                of);
        jdbc.update("delete from project where id = ?", of);
        for (UUID speech : speeches) {
            UUID sound = jdbc.queryForObject("select sound_id from speech where id = ?", UUID.class, speech);
            jdbc.update("delete from speech where id = ?", speech);
            jdbc.update("delete from sound where id = ?", sound);
        }
        jdbc.update("delete from house_voice where id = ?", keeper);
    }

    @Test
    void aHouseThatHasNeverSeenItHearsTheSame() {
        List<String> before = heard(project);
        assertThat(before).hasSize(2);
        forget();
        String came = brought(file);
        assertThat(heard(came)).isEqualTo(before);
        assertThat(server.ready(came)).isEqualTo(2);
        JsonNode cue = server.cues(came).get(1);
        assertThat(cue.get("state").asString()).isEqualTo("ready");
        assertThat(server.get(came + "/deliver").statusCode()).isEqualTo(200);
        assertThat(server.get(came + "/deliveries").body())
                .contains("made in another house")
                .doesNotContain("/file\"");
        // and it can be worked on: one word, one cue
        assertThat(server.save(came, script.replace("four", "five"), 1).statusCode())
                .isEqualTo(200);
        server.post(came + "/render", Map.of("step", "DIRECT"));
        Server.await("the changed cue is rendered", () -> server.ready(came) == 2);
        assertThat(brought(server.bytes(came + "/file")))
                .as("out again, and in")
                .isNotEqualTo(came);
    }

    @Test
    void broughtInTwiceItIsTwoProjectsOfTheSameSound() {
        String first = brought(file);
        String second = brought(file);
        assertThat(first).isNotEqualTo(second).isNotEqualTo(project);
        assertThat(jdbc.queryForObject("select name from project where id = ?", String.class, id(first)))
                .startsWith("Moved ")
                .endsWith(" (imported)");
        assertThat(heard(first)).isEqualTo(heard(project)).isEqualTo(heard(second));
        assertThat(jdbc.queryForObject(
                        "select count(distinct t.speech_id) from take t join cue c on c.id = t.cue_id "
                                + "where c.project_id in (?, ?, ?)",
                        Integer.class,
                        id(project),
                        id(first),
                        id(second)))
                .isEqualTo(2);
    }

    private byte[] with(String entry, String what, String becomes) throws IOException {
        return ProjectFile.with(file, entry, what, becomes);
    }

    private void refused(byte[] sent, String sentence) {
        int before = jdbc.queryForObject("select count(*) from project where name like 'Moved %'", Integer.class);
        HttpResponse<String> answer = bring(sent);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
        assertThat(answer.body().replace("&#39;", "'")).contains(sentence);
        assertThat(jdbc.queryForObject("select count(*) from project where name like 'Moved %'", Integer.class))
                .isEqualTo(before);
    }

    @Test
    void cuesThatShareANumberInTheFileHaveTheirOwnHere() throws Exception {
        String moved = brought(with("rows/cue.jsonl", "\"number\": *\"020\"", "\"number\":\"010\""));
        assertThat(server.cues(moved).valueStream().map(cue -> cue.get("number").asString()))
                .containsExactly("010", "020");
    }

    @Test
    void whatIsNoneOrBrokenOrNewerIsRefusedWithASentenceAndLeavesNothing() throws Exception {
        refused(new byte[0], "isn't an exported project");
        refused("PK\3\4 nonsense".getBytes(StandardCharsets.UTF_8), "isn't an exported project");
        refused(ProjectFile.packed(Map.of("a.txt", new byte[3])), "isn't an exported project");
        refused(with("logophon-project.json", "\"format\":1", "\"format\":2"), "newer Logophon");
        refused(with("logophon-project.json", "\"schema\":\\d+", "\"schema\":9999"), "newer Logophon");
        Map<String, byte[]> parts = ProjectFile.unpacked(file);
        parts.keySet().removeIf(name -> name.endsWith(".wav"));
        refused(ProjectFile.packed(parts), "a sound is missing");
        refused(with("rows/cue.jsonl", "\"anchor\": *\"start\"", "\"anchor\":\"away\""), "line 1 of rows/cue.jsonl");
        refused(
                with("rows/take.jsonl", "\"origin\": *\\{", "\"origin\":[{\"version\":7}],\"x\":{"),
                "line 1 of rows/take.jsonl");
        refused(with("rows/cue.jsonl", "\\{\"id", "[\"id"), "line 1 of rows/cue.jsonl can't be read");
        refused(with("rows/cue.jsonl", "\"text\": *\"[^\"]+\",", ""), "line 1 of rows/cue.jsonl: text is missing");
        refused(
                with("rows/take.jsonl", "\"created_at\": *\"[^\"]+\"", "\"created_at\":\"infinity\""),
                "created_at is no time");
        refused(with("rows/happening.jsonl", "\"what\": *\"[^\"]+\"", "\"what\":\"sung\""), "it is no happening");
        refused(with("rows/role.jsonl", "Keeper", "<b>Somebody</b>"), "its role isn't in rows/role.jsonl");
        Map<String, byte[]> much = ProjectFile.unpacked(file);
        String happened = new String(much.get("rows/happening.jsonl"), StandardCharsets.UTF_8)
                .lines()
                .findFirst()
                .orElseThrow();
        much.put("rows/happening.jsonl", (happened + "\n").repeat(100_001).getBytes(StandardCharsets.UTF_8));
        refused(ProjectFile.packed(much), "line 100001 of rows/happening.jsonl: there are more than 100,000 rows");
    }

    @Test
    void nothingOfAnotherProjectIsReached() throws Exception {
        String other = server.project("Not moved", "Nobody else hears this.");
        String cue = server.cues(other).get(0).get("id").asString();
        refused(
                with("rows/take.jsonl", "\"cue_id\": *\"[^\"]+\"", "\"cue_id\":\"" + cue + "\""),
                "is missing that a row names");
        UUID recipe = UUID.randomUUID();
        // what a file says of a recipe is believed for its own takes alone
        String came = brought(with("rows/speech.jsonl", "\"recipe\": *\"[^\"]+\"", "\"recipe\":\"" + recipe + "\""));
        assertThat(server.ready(came)).isEqualTo(2);
        assertThat(jdbc.queryForObject(
                        "select count(*) from speech where recipe = ?", Integer.class, recipe.toString()))
                .isZero();
        String named =
                brought(with("rows/project.jsonl", "\\{\"id", "{\"name) values ('x'); drop table cue; --\":1,\"id"));
        assertThat(server.ready(named)).isEqualTo(2);
    }

    @Test
    void damagedFilesNeverMakeTheServerFail() {
        long seed = Long.getLong("hostile.seed", 1);
        System.out.println("Damaged project files, seed " + seed);
        Random random = new Random(seed);
        for (int i = 0; i < Integer.getInteger("hostile.files", 60); i++) {
            byte[] damaged = file.clone();
            for (int n = 1 + random.nextInt(8); n > 0; n--) {
                damaged[random.nextInt(damaged.length)] = (byte) random.nextInt(256);
            }
            HttpResponse<String> answer = bring(damaged);
            assertThat(answer.statusCode())
                    .as("seed " + seed + ", file " + i + ": " + answer.body())
                    .isIn(200, 422);
        }
    }
}
