package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Many cues placed at once, what an edit of the script does to places, and room that is used or filled. */
class PlacedTogetherTest extends ApplicationTest {

    private String rendered(String name, String script) {
        String project = server.project(name, script);
        server.post(project + "/cast", Map.of("role", "Narrator", "voice", "percy"));
        server.post(project + "/place/picture", Map.of("rate", "25", "start", "", "leastGapMillis", "0"));
        render(project);
        return project;
    }

    private void render(String project) {
        server.post(project + "/render", Map.of("step", "PLACE"));
        ready(project);
    }

    private void ready(String project) {
        Server.await(
                "rendered", () -> server.ready(project) == server.cues(project).size());
    }

    private JsonNode table(String project) {
        return server.json(project + "/place/table");
    }

    private JsonNode row(String project, int at) {
        return table(project).get("rows").get(at);
    }

    private List<String> all(String project, String field) {
        List<String> found = new ArrayList<>();
        table(project).get("rows").forEach(row -> found.add(row.get(field).asString()));
        return found;
    }

    private void place(String project, int at, Map<String, String> fields) {
        assertThat(server.post(
                                project + "/place/cues/"
                                        + row(project, at).get("id").asString(),
                                fields)
                        .statusCode())
                .isEqualTo(200);
    }

    private HttpResponse<String> json(String address, Object body) {
        return server.send(server.request(address)
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", server.token())
                .POST(HttpRequest.BodyPublishers.ofString(
                        JsonMapper.builder().build().writeValueAsString(body))));
    }

    @Test
    void manyCuesAreFixedAndMovedTogetherAndUndoneTogether() {
        String project = rendered("Many", "Wedge the clay.\n\nCentre it.\n\nOpen it.\n\nStop the wheel.");
        List<String> before = all(project, "in");
        List<String> ids = all(project, "id").subList(1, 3);
        assertThat(json(project + "/place/many", Map.of("cues", ids, "kind", "FIXED"))
                        .body())
                .contains("2 cues are placed");
        assertThat(all(project, "in")).as("where they are").isEqualTo(before);
        assertThat(all(project, "kind")).containsExactly("follow", "fixed", "fixed", "follow");
        json(project + "/place/nudge", Map.of("cues", ids, "frames", 50));
        double by = row(project, 2).get("startSeconds").asDouble()
                - row(project, 1).get("startSeconds").asDouble();
        assertThat(row(project, 1).get("in").asString()).isNotEqualTo(before.get(1));
        json(project + "/place/nudge", Map.of("cues", ids, "frames", 10));
        assertThat(row(project, 2).get("startSeconds").asDouble()
                        - row(project, 1).get("startSeconds").asDouble())
                .as("apart as before")
                .isCloseTo(by, within(1e-9));
        HttpResponse<String> none = json(project + "/place/many", Map.of("cues", ids, "kind", "SLOT"));
        assertThat(none.statusCode()).isEqualTo(422);
        assertThat(none.body()).contains("None of these cues has a slot");
        assertThat(json(project + "/place/many", Map.of("cues", List.of(), "kind", "FIXED"))
                        .statusCode())
                .isEqualTo(422);
        for (int i = 0; i < 3; i++) {
            server.post(project + "/place/undo", Map.of());
        }
        assertThat(all(project, "in")).isEqualTo(before);
        assertThat(all(project, "kind")).containsOnly("follow");
    }

    @Test
    void aCutCuesSecondHalfFollowsAndJoinedCuesKeepTheFirstsPlace() {
        String first = "Wedge the clay on a dry board. Lean in with your whole arm.";
        String second = "Centre it.";
        String project = rendered("Cut and joined", first + "\n\n" + second);
        place(project, 0, Map.of("kind", "FIXED", "in", "00:00:05:00"));
        place(project, 1, Map.of("kind", "FIXED", "in", "00:00:20:00"));
        server.save(project, first.replace(". Lean", ".\n\nLean") + "\n\n" + second, 1);
        assertThat(all(project, "kind")).containsExactly("fixed", "follow", "fixed");
        assertThat(row(project, 0).get("in").asString()).isEqualTo("00:00:05:00");
        assertThat(row(project, 2).get("in").asString()).isEqualTo("00:00:20:00");
        server.save(project, first + " " + second, 2);
        assertThat(all(project, "in")).containsExactly("00:00:05:00");
    }

    private Map<String, Object> slot(int in, int out, String name, String cue) {
        Map<String, Object> slot = new HashMap<>();
        slot.put("inMillis", in);
        slot.put("outMillis", out);
        slot.put("number", "");
        slot.put("name", name);
        slot.put("cue", cue);
        return slot;
    }

    @Test
    void slotsWithoutACueAreShownTakenAwayBroughtBackAndCopied() {
        String project = rendered("Left over", "Wedge the clay.\n\nCentre it.");
        List<String> ids = all(project, "id");
        json(
                project + "/place/times/take",
                Map.of(
                        "slots",
                        List.of(
                                slot(0, 3_000, "", ids.get(0)),
                                slot(4_000, 6_000, "", ids.get(1)),
                                slot(8_000, 9_000, "the kiln", null))));
        JsonNode left = table(project).get("left").get(0);
        assertThat(left.get("name").asString()).isEqualTo("the kiln");
        assertThat(left.get("in").asString()).isEqualTo("00:00:08:00");
        String drop = project + "/place/slots/" + left.get("id").asString() + "/drop";
        assertThat(server.post(drop, Map.of()).statusCode()).isEqualTo(200);
        assertThat(server.post(drop, Map.of()).statusCode()).as("a second time").isEqualTo(404);
        assertThat(table(project).get("left").size()).isZero();
        server.post(project + "/place/undo", Map.of());
        assertThat(table(project).get("left").size()).isEqualTo(1);
        server.post(project + "/duplicate", Map.of());
        Matcher copy = Pattern.compile("/projects/[0-9a-f-]{36}(?=/write\">Left over \\(copy)")
                .matcher(server.get("/").body());
        assertThat(copy.find()).isTrue();
        assertThat(table(copy.group()).get("left").size()).isEqualTo(1);
        assertThat(all(copy.group(), "kind")).containsOnly("slot");
        server.post(project + "/place/undo", Map.of());
        assertThat(table(project).get("left").size())
                .as("reading the times is undone with what it left over")
                .isZero();
        assertThat(all(project, "kind")).containsOnly("follow");
        server.post(project + "/place/redo", Map.of());
        assertThat(table(project).get("left").size()).isEqualTo(1);
    }

    @Test
    void freeRoomAroundASlotIsUsedWhenAskedAndTheSlotIsWiderByIt() {
        String project = rendered(
                "Room", "The kiln needs eight hours; open it too soon, and everything in it cracks.\n\nCentre it.");
        double seconds = row(project, 0).get("seconds").asDouble();
        place(project, 0, Map.of("kind", "SLOT", "in", "1s", "out", "%.2fs".formatted(1 + seconds * 0.72)));
        place(project, 1, Map.of("kind", "SLOT", "in", "12s", "out", "15s"));
        assertThat(server.json(project + "/place/fit").get(0).get("fits").asBoolean())
                .isFalse();
        JsonNode preview = server.json(project + "/place/fit?borrow=true").get(0);
        assertThat(preview.get("fits").asBoolean()).isTrue();
        assertThat(preview.get("way").asString()).contains("of the room around");
        String in = row(project, 0).get("slotIn").asString();
        assertThat(server.post(project + "/place/fit", Map.of("borrow", "true")).statusCode())
                .isEqualTo(200);
        ready(project);
        assertThat(row(project, 0).get("spare").asInt()).as("measured").isNotNegative();
        assertThat(row(project, 0).get("slotIn").asString())
                .as("room after it is enough")
                .isEqualTo(in);
        assertThat(row(project, 0).get("slotSeconds").asDouble()).isGreaterThan(seconds * 0.72);
        server.post(project + "/place/undo", Map.of());
        assertThat(row(project, 0).get("slotSeconds").asDouble()).isLessThan(seconds * 0.73);
    }

    @Test
    void aSlotWithRoomIsFilledWhenAsked() {
        String project =
                rendered("Loose", "Glaze goes on when the pot is dry, in two thin coats, never in one thick one.");
        double seconds = row(project, 0).get("seconds").asDouble();
        place(project, 0, Map.of("kind", "SLOT", "in", "0s", "out", "%.2fs".formatted(seconds * 1.15)));
        assertThat(server.json(project + "/place/fit").size()).isZero();
        JsonNode preview = server.json(project + "/place/fit?loosen=true").get(0);
        assertThat(preview.get("result").asDouble()).isBetween(seconds * 1.05, seconds * 1.15);
        assertThat(server.post(project + "/place/fit", Map.of("loosen", "true")).body())
                .contains("1 cue is directed to fit");
        ready(project);
        assertThat(row(project, 0).get("seconds").asDouble()).isBetween(seconds * 1.04, seconds * 1.15);
        assertThat(row(project, 0).get("spare").asInt()).isNotNegative();
    }
}
