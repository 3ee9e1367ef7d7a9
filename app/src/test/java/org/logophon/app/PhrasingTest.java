package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Phrasing on the dials of script, role and cue, on the score, and in projects that were made before it. */
class PhrasingTest extends ApplicationTest {

    private static final String SCRIPT = "Wait, the lamp is out. Who put it out?\n\nNobody knows.";

    @Autowired
    private JdbcTemplate jdbc;

    private String cue(String project, int at) {
        return project + "/cues/" + server.cues(project).get(at).get("id").asString();
    }

    private String version(String project) {
        return server.version(project, server.cues(project).get(0).get("id").asString(), "project");
    }

    private JsonNode phrasing(String cue) {
        return server.json(cue + "/marks").get("phrasing");
    }

    @Test
    void aNewProjectIsPhrasedAndItsScoreSaysWhy() {
        String project = server.project("Phrased", SCRIPT);
        assertThat(phrasing(cue(project, 0)))
                .extracting(part -> part.get("sentence").asString())
                .contains(
                        "comma: 0.22 s",
                        "comma: rises by 1.5 st",
                        "full stop: 0.60 s",
                        "asking word: begins 3.0 st higher",
                        "question: falls by 4.0 st");
    }

    @Test
    void aCueSaysItsShare() {
        String project = server.project("Shares", SCRIPT);
        String cue = cue(project, 0);
        server.post(cue + "/direction", Map.of("phrasing", "0", "version", "0"));
        assertThat(phrasing(cue)).isEmpty();
        server.post(cue + "/direction", Map.of("phrasing", "150", "version", "1"));
        assertThat(phrasing(cue))
                .extracting(part -> part.get("sentence").asString())
                .contains("full stop: 0.90 s");
        assertThat(server.post(cue + "/direction", Map.of("phrasing", "160", "version", "2"))
                        .body())
                .contains("Phrasing goes from 0 to 150 %, and 160 is outside.");
    }

    @Test
    void oneThingThatPhrasingDoesBecomesAMark() {
        String project = server.project("Made marks", SCRIPT);
        String cue = cue(project, 0);
        Map<String, String> comma = Map.of("start", "0", "end", "4", "move", "rest");
        assertThat(server.post(cue + "/phrasing/own", comma).statusCode()).isEqualTo(200);
        JsonNode marks = server.json(cue + "/marks").get("marks");
        assertThat(marks).singleElement().satisfies(mark -> {
            assertThat(mark.get("kind").asString()).isEqualTo("pause");
            assertThat(mark.get("value").asDouble()).isCloseTo(220, within(1.0));
            assertThat(mark.get("origin").asString()).isEqualTo("own");
        });
        assertThat(phrasing(cue))
                .noneMatch(part -> part.get("sentence").asString().equals("comma: 0.22 s"));
        assertThat(server.post(cue + "/phrasing/own", comma).body())
                .as("done twice, in another window")
                .contains("how the cue is phrased any more");
        assertThat(server.post(project + "/marks/undo", Map.of()).body()).contains("Undone: phrasing made a mark.");
        assertThat(server.json(cue + "/marks").get("marks")).isEmpty();
    }

    @Test
    void aProjectOfBeforeSoundsAsItDidUntilItIsPhrasedWithOnePress() {
        String project = server.project("Of before", SCRIPT);
        server.post(project + "/render", Map.of());
        Server.await("rendered", () -> server.ready(project) == 2);
        jdbc.update(
                "update project set phrasing_percent = null where id = cast(? as uuid)",
                project.substring(project.lastIndexOf('/') + 1));
        assertThat(phrasing(cue(project, 0))).isEmpty();
        String page = server.get(project + "/direct").body();
        assertThat(page)
                .contains("This script isn’t phrased. 2 cues change; the programme gets about ")
                .contains("Phrase the");
        assertThat(server.ready(project)).as("a phrased take is another one").isZero();
        // a form that doesn't ask about it leaves it as it is
        server.post(cue(project, 0) + "/project/direction", Map.of("pace", "100", "version", version(project)));
        assertThat(phrasing(cue(project, 0))).isEmpty();
        server.post(project + "/phrasing", Map.of("version", version(project)));
        assertThat(phrasing(cue(project, 0))).isNotEmpty();
        assertThat(server.get(project + "/direct").body()).doesNotContain("This script isn’t phrased.");
    }

    @Test
    void improvingIsOneStepAndOneUndo() {
        String project = server.project("Improved", "Its lens weighs 2.3 t, and nobody lifts it.");
        String cue = cue(project, 0);
        assertThat(server.post(cue + "/suggest/improve", Map.of("scope", "CUE")).body())
                .contains("Improved 1 cue. Ctrl Z takes it back.");
        assertThat(server.json(cue + "/marks").get("marks"))
                .isNotEmpty()
                .allSatisfy(mark -> assertThat(mark.get("origin").asString()).isEqualTo("taken"));
        assertThat(server.post(cue + "/suggest/improve", Map.of("scope", "CUE")).body())
                .contains("Nothing to improve");
        server.post(project + "/marks/undo", Map.of());
        assertThat(server.json(cue + "/marks").get("marks")).isEmpty();
    }

    @Test
    void aDialBeyondComfortIsToldAndStopsNothing() {
        String project = server.project("Hasty", SCRIPT);
        assertThat(server.get(project + "/direct").body()).doesNotContain("id=\"comfort\"");
        server.post(cue(project, 0) + "/direction", Map.of("pace", "160", "version", "0"));
        assertThat(server.get(project + "/direct").body()).contains("At pace 160 % words run together");
        server.post(cue(project, 0) + "/render", Map.of());
        Server.await("rendered", () -> server.ready(project) == 1);
    }

    @Test
    void aSceneEndsWithALongerRest() {
        String scenes = "# One\n\nThe lamp is out.\n\nNobody knows.\n\n# Two\n\nThe boat comes.";
        String project = server.project("Scenes", scenes);
        JsonNode cues = server.cues(project);
        double within = cues.get(1).get("start").asDouble()
                - cues.get(0).get("start").asDouble()
                - cues.get(0).get("seconds").asDouble();
        double between = cues.get(2).get("start").asDouble()
                - cues.get(1).get("start").asDouble()
                - cues.get(1).get("seconds").asDouble();
        assertThat(within).isCloseTo(0.4, within(0.05));
        assertThat(between).isCloseTo(1.5, within(0.05));
    }
}
