package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.logophon.core.time.timecode.FrameRate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Where clips come to stand, by the addresses that the Place page asks. */
@Execution(ExecutionMode.CONCURRENT)
class PlaceTest extends ApplicationTest {

    private static final String SCRIPT =
            "Wedge the clay on a dry board, slowly, until no air is left in it.\n\nCentre it.\n\nStop the wheel.";

    private String rendered(String name) {
        return rendered(name, SCRIPT);
    }

    private String rendered(String name, String script) {
        String project = server.project(name, script);
        server.post(project + "/render", Map.of("step", "PLACE"));
        ready(project);
        return project;
    }

    private void ready(String project) {
        Server.await(
                "rendered", () -> server.ready(project) == server.cues(project).size());
    }

    private JsonNode row(String project, int at) {
        return server.json(project + "/place/table").get("rows").get(at);
    }

    private String in(String project, int at) {
        return row(project, at).get("in").asString();
    }

    private HttpResponse<String> place(String project, int at, Map<String, String> fields) {
        return server.post(project + "/place/cues/" + row(project, at).get("id").asString(), fields);
    }

    private HttpResponse<String> json(String address, Object body) {
        return server.send(server.request(address)
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", server.token())
                .POST(HttpRequest.BodyPublishers.ofString(
                        JsonMapper.builder().build().writeValueAsString(body))));
    }

    private HttpResponse<String> picture(String project, String rate, String start) {
        return server.post(project + "/place/picture", Map.of("rate", rate, "start", start, "leastGapMillis", "0"));
    }

    @Test
    void clipsStartOnThePicturesFramesAndEveryPageCountsInThem() {
        String project = rendered("Framed");
        assertThat(picture(project, "29.97df", "01:00:00;00").statusCode()).isEqualTo(200);
        assertThat(in(project, 0)).isEqualTo("01:00:00;00");
        FrameRate rate = FrameRate.named("29.97df");
        for (JsonNode cue : server.cues(project)) {
            long start = Math.round(cue.get("start").asDouble() * 48_000);
            assertThat(rate.rounded(start, 48_000)).isEqualTo(start);
        }
        JsonNode counted = server.json(project + "/programme").get("frameRate");
        assertThat(counted.get("drop").asBoolean()).isTrue();
        assertThat(counted.get("start").asLong()).isEqualTo(107_892);
        assertThat(picture(project, "29.97df", "00:01:00;00").body()).contains("00:01:00;02");
        assertThat(picture(project, "31", "").statusCode()).isEqualTo(422);
        assertThat(in(project, 0)).as("nothing has changed").isEqualTo("01:00:00;00");
    }

    @Test
    void aCueIsFixedPutIntoASlotMovedByFramesAndTakenBackAlsoAfterAReload() {
        String project = rendered("Placed");
        picture(project, "25", "10:00:00:00");
        String followed = in(project, 1);
        assertThat(place(project, 1, Map.of("kind", "FIXED", "in", "10:00:20:00"))
                        .statusCode())
                .isEqualTo(200);
        assertThat(in(project, 1)).isEqualTo("10:00:20:00");
        assertThat(in(project, 2)).as("what follows it follows it").startsWith("10:00:2");
        assertThat(place(project, 1, Map.of("kind", "FIXED", "in", "+12")).statusCode())
                .isEqualTo(200);
        assertThat(in(project, 1)).isEqualTo("10:00:20:12");
        place(project, 1, Map.of("kind", "SLOT", "in", "10:00:30:00", "out", "10:00:40:00", "anchor", "END"));
        assertThat(row(project, 1).get("out").asString()).isEqualTo("10:00:40:00");
        json(
                project + "/place/nudge",
                Map.of("cues", List.of(row(project, 1).get("id").asString()), "frames", -10));
        assertThat(row(project, 1).get("out").asString()).isEqualTo("10:00:39:15");
        for (String what : List.of("10:00:40:00", "", "", "")) {
            assertThat(server.post(project + "/place/undo", Map.of()).statusCode())
                    .isEqualTo(200);
            assertThat(what.isEmpty() || row(project, 1).get("out").asString().equals(what))
                    .isTrue();
        }
        assertThat(in(project, 1)).isEqualTo(followed);
        assertThat(server.post(project + "/place/undo", Map.of()).body()).contains("nothing to undo in the placements");
        server.post(project + "/place/redo", Map.of());
        assertThat(in(project, 1)).isEqualTo("10:00:20:00");
        // an edit of the script keeps the place with its cue; a cue that is put in before it follows
        server.save(project, "A new beginning.\n\n" + SCRIPT, 1);
        assertThat(in(project, 2)).isEqualTo("10:00:20:00");
        assertThat(place(project, 0, Map.of("kind", "SLOT", "in", "10:00:01:00"))
                        .body())
                .contains("has no slot yet");
        assertThat(place(project, 0, Map.of("kind", "FIXED", "in", "09:00:00:00"))
                        .body())
                .contains("is before the programme");
        assertThat(place(project, 0, Map.of("kind", "FIXED", "in", "noon")).statusCode())
                .isEqualTo(422);
    }

    @Test
    void picturesTimesAreShownThenTakenAndReadAgainTheyShowWhatMoved() {
        String project = rendered("Times");
        picture(project, "25", "10:00:00:00");
        String list = """
                TITLE: CUT
                FCM: NON-DROP FRAME
                001  AX V C 00:00:00:00 00:00:08:00 10:00:00:00 10:00:08:00
                002  AX V C 00:00:00:00 00:00:03:00 10:00:08:00 10:00:11:00
                003  AX V C 00:00:00:00 00:00:03:00 10:00:11:00 10:00:14:00
                004  AX V C 00:00:00:00 00:00:02:00 10:00:14:00 10:00:16:00
                """;
        JsonNode read = Server.parse(server.post(project + "/place/times", Map.of("text", list)));
        assertThat(read.get("format").asString()).isEqualTo("an edit decision list");
        List<Map<String, Object>> slots = new ArrayList<>();
        read.get("slots").forEach(slot -> {
            Map<String, Object> taken = new java.util.HashMap<>();
            taken.put("inMillis", slot.get("inMillis").asInt());
            taken.put("outMillis", slot.get("outMillis").asInt());
            taken.put("number", slot.get("number").asString());
            taken.put("name", "");
            taken.put("cue", slot.get("cue").isNull() ? null : slot.get("cue").asString());
            slots.add(taken);
        });
        assertThat(slots).extracting(slot -> slot.get("cue") == null).containsExactly(false, false, false, true);
        assertThat(row(project, 1).get("kind").asString())
                .as("nothing is changed by reading")
                .isEqualTo("follow");
        assertThat(json(project + "/place/times/take", Map.of("slots", slots)).body())
                .contains("3 slots have moved, 1 without a cue");
        assertThat(in(project, 1)).isEqualTo("10:00:08:00");
        assertThat(server.json(project + "/place/table").get("sentences").toString())
                .contains("10:00:14:00".substring(3))
                .contains("no cue");
        String cutAnew = list.replace("10:00:08:00 10:00:11:00", "10:00:08:12 10:00:11:00")
                .replace("10:00:00:00 10:00:08:00", "10:00:00:00 10:00:08:00");
        JsonNode again = Server.parse(server.post(project + "/place/times", Map.of("text", cutAnew)));
        assertThat(again.get("slots").get(1).get("was").asString()).isEqualTo("10:00:08:00");
        assertThat(again.get("slots").get(0).get("was").isNull()).isTrue();
        assertThat(server.post(project + "/place/times", Map.of("text", "in,out\n5,2"))
                        .body())
                .contains("ends before it starts");
    }

    @Test
    void gapsAreSetBySceneAndSpareTimeIsSpreadUntilTheTarget() {
        // rendered: an estimate follows what the same voice says in other tests meanwhile
        String project = rendered("Gaps", "# One\n\nWedge the clay.\n\nCentre it.\n\n# Two\n\nStop the wheel.");
        double second = row(project, 2).get("startSeconds").asDouble();
        server.post(project + "/place/scenes", Map.of("scene", "One", "seconds", "2.5"));
        // a scene that says nothing ends with 1.5 s
        assertThat(row(project, 2).get("startSeconds").asDouble() - second).isCloseTo(1.0, within(1e-6));
        assertThat(server.json(project + "/place/scenes").get(0).get("millis").asInt())
                .isEqualTo(2_500);
        assertThat(server.post(project + "/place/scenes", Map.of("scene", "Nine", "seconds", "1"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(server.get(project + "/place/spare").body()).contains("no target length");
        server.post(project + "/target", Map.of("target", "0:12"));
        JsonNode preview = server.json(project + "/place/spare?way=EVENLY&most=10");
        assertThat(preview.get("gaps").size()).isEqualTo(2);
        assertThat(preview.get("left").asDouble()).isLessThan(0.05);
        double before = server.json(project + "/place/table").get("seconds").asDouble();
        assertThat(server.post(project + "/place/spare", Map.of("way", "EVENLY", "most", "10"))
                        .body())
                .contains("2 gaps are longer");
        assertThat(server.json(project + "/place/table").get("seconds").asDouble())
                .isBetween(11.9, 12.0);
        server.post(project + "/place/undo", Map.of());
        assertThat(server.json(project + "/place/table").get("seconds").asDouble())
                .isEqualTo(before);
    }

    @Test
    void whatRunsPastItsSlotIsMadeToFitByDirectionThatUndoTakesBack() {
        String project = rendered("Fitted");
        picture(project, "25", "");
        double seconds = row(project, 0).get("seconds").asDouble();
        String out = "%.2fs".formatted(seconds * 0.92);
        place(project, 0, Map.of("kind", "SLOT", "in", "0s", "out", out));
        assertThat(row(project, 0).get("spare").asInt()).isNegative();
        assertThat(row(project, 0).get("found").toString()).contains("over-slot");
        assertThat(server.get(project + "/place").body()).contains("1 runs over");
        // or the picture follows the voice
        String[] shot = server.get(project + "/place/picture.csv")
                .body()
                .split("\r\n")[1]
                .split(",");
        assertThat(Integer.parseInt(shot[5]))
                .isEqualTo(-row(project, 0).get("spare").asInt());
        assertThat(Double.parseDouble(shot[6])).isBetween(91.0, 93.0);
        assertThat(server.get(project + "/place/picture.edl").body())
                .contains("FCM: NON-DROP FRAME", "* FROM CLIP NAME: 010");
        JsonNode preview = server.json(project + "/place/fit").get(0);
        assertThat(preview.get("fits").asBoolean()).isTrue();
        assertThat(preview.get("way").asString()).contains("%");
        assertThat(server.post(project + "/place/fit", Map.of()).body()).contains("1 cue is directed to fit");
        ready(project);
        assertThat(row(project, 0).get("spare").asInt()).as("measured").isNotNegative();
        assertThat(row(project, 1).get("found").toString()).contains("no-slot");
        place(project, 1, Map.of("kind", "FOLLOW"));
        assertThat(row(project, 1).get("found").size()).isZero();
        assertThat(server.post(project + "/place/fit", Map.of()).body()).contains("No rendered cue runs past its slot");
        assertThat(server.post(project + "/marks/undo", Map.of()).body()).contains("fitting a slot");
        server.post(project + "/cues/" + row(project, 0).get("id").asString() + "/render", Map.of());
        ready(project);
        assertThat(row(project, 0).get("seconds").asDouble()).isEqualTo(seconds);
    }
}
