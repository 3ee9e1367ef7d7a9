package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import tools.jackson.databind.JsonNode;

/**
 * A data folder from before sound was stored as sound is carried over whole: it holds a project with three cues, a
 * reading, marks with undo, four takes of which one is an older direction's, a cue that left the script, and a
 * delivery.
 */
class MigrationTest {

    private static final String PROJECT = "/projects/e825d71c-c5fa-474b-8848-e8647d90df59";

    private static final Map<String, byte[]> PCM_BY_RECIPE = new HashMap<>();
    private static byte[] delivered;
    private static JdbcTemplate jdbc;
    private static ConfigurableApplicationContext application;
    private static Server server;

    @BeforeAll
    static void carryOver() throws IOException {
        DriverManagerDataSource source = OtherDatabase.create("carried").source();
        String dump;
        try (InputStream in =
                new GZIPInputStream(MigrationTest.class.getResourceAsStream("store-of-version-5.sql.gz"))) {
            // lines that start with a backslash are for the client that wrote the dump
            dump = new String(in.readAllBytes(), StandardCharsets.UTF_8).replaceAll("(?m)^\\\\.*$", "");
        }
        jdbc = new JdbcTemplate(source);
        jdbc.execute(dump);
        jdbc.query("select recipe, pcm from speech", row -> {
            PCM_BY_RECIPE.put(row.getString(1), row.getBytes(2));
        });
        delivered = jdbc.queryForObject("select content from delivery_part", byte[].class);
        application = new SpringApplicationBuilder(Application.class)
                .run(
                        "--server.port=0",
                        "--spring.datasource.url=" + source.getUrl(),
                        "--logophon.measure-voices=false",
                        "--logophon.workers=1");
        server = new Server("http://localhost:"
                + ((WebServerApplicationContext) application).getWebServer().getPort());
    }

    @AfterAll
    static void close() {
        application.close();
    }

    @Test
    void everySoundIsThereToTheLastSample() {
        assertThat(PCM_BY_RECIPE).hasSize(4);
        PCM_BY_RECIPE.forEach((recipe, pcm) -> {
            byte[] stored = jdbc.queryForObject(
                    "select string_agg(content, ''::bytea order by position) from sound_piece where "
                            + "sound_id = (select sound_id from speech where recipe = ?)",
                    byte[].class,
                    recipe);
            assertThat(stored).as(recipe).isEqualTo(pcm);
        });
    }

    @Test
    void cuesStandWhereTheyStoodAndTheirTakesPlay() {
        JsonNode programme = server.json(PROJECT + "/programme");
        assertThat(programme.get("cues"))
                .extracting(cue -> cue.get("number").asString() + " "
                        + cue.get("state").asString() + " " + cue.get("takes").asInt())
                // a word of 020 is said by its sentence now: the take stays, and a render would be another one
                .containsExactly("010 ready 1", "020 changed 1", "030 changed 2");
        assertThat(programme.get("seconds").asDouble()).isGreaterThan(5);
        programme.get("cues").forEach(cue -> {
            byte[] wav = server.bytes(cue.get("sound").asString());
            assertThat(new String(wav, 0, 4, StandardCharsets.US_ASCII)).isEqualTo("RIFF");
            assertThat(wav.length).isGreaterThan(10_000);
        });
        for (String page : List.of("/write", "/cast", "/direct", "/deliver")) {
            assertThat(server.get(PROJECT + page).statusCode()).as(page).isEqualTo(200);
        }
    }

    @Test
    void whatWasMeasuredAndMarkedIsStillKnown() {
        String first = server.cues(PROJECT).get(0).get("id").asString();
        String direct = server.get(PROJECT + "/direct?cue=" + first).body();
        assertThat(direct).contains("Marnie").contains("✓ met").contains("T1");
        JsonNode marks = server.json(PROJECT + "/cues/" + first + "/marks");
        assertThat(marks.get("marks").get(0).get("value").asString()).isEqualTo("words two point three tonnes");
        String take = direct.replaceAll("(?s).*data-score=\"([^\"]+)\".*", "$1");
        assertThat(server.json(take).get("words")).hasSize(5);
    }

    @Test
    void undoReachesAcrossAndTheRecipeThatIsFoundAgainIsShown() {
        String third = server.cues(PROJECT).get(2).get("id").asString();
        assertThat(server.post(PROJECT + "/marks/redo", Map.of()).body()).contains("Redone: pitch");
        assertThat(server.cues(PROJECT).get(2).get("state").asString())
                .as("the kept take is what the marks ask for again")
                .isEqualTo("ready");
        assertThat(server.post(PROJECT + "/marks/undo", Map.of()).body()).contains("Undone: pitch");
        assertThat(server.get(PROJECT + "/direct?cue=" + third).body())
                .contains("T1")
                .contains("T2");
        assertThat(server.cues(PROJECT).get(2).get("state").asString()).isEqualTo("changed");
    }

    @Test
    void theDeliveryIsTheSameToTheLastByte() {
        String address = server.get(PROJECT + "/deliveries").body().replaceAll("(?s).*?href=\"([^\"]+/file)\".*", "$1");
        assertThat(server.bytes(address)).isEqualTo(delivered);
        assertThat(jdbc.queryForObject("select script_version from delivery", Integer.class))
                .isEqualTo(3);
    }

    @Test
    void whatHappenedToTakesIsToldFromTheirBeginning() {
        assertThat(jdbc.queryForList("select what from take_event order by id", String.class))
                .containsExactly("made", "made", "made", "made", "kept", "kept", "kept");
    }
}
