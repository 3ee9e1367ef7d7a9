package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.logophon.app.services.project.SpeakingRates;
import org.logophon.speech.NativeVoices;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What becomes of cues, numbers, readings and versions when a script changes. */
@Execution(ExecutionMode.CONCURRENT)
class ScriptTest extends ApplicationTest {

    @Autowired
    private SpeakingRates rates;

    private int version(String project) {
        return server.json(project + "/script").get("version").asInt();
    }

    private JsonNode act(String project, String path, Map<String, String> form) {
        Map<String, String> all = new java.util.HashMap<>(form);
        all.put("version", Integer.toString(version(project)));
        HttpResponse<String> answer = server.post(project + path, all);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Server.parse(answer);
    }

    private String text(String project) {
        return server.json(project + "/script?text=true").get("text").asString();
    }

    private List<String> numbers(JsonNode state) {
        return state.get("cues")
                .valueStream()
                .map(c -> c.get("number").asString())
                .toList();
    }

    private JsonNode save(String project, String text) {
        HttpResponse<String> saved = server.save(project, text, version(project));
        assertThat(saved.statusCode()).as(saved.body()).isEqualTo(200);
        return Server.parse(saved);
    }

    /** Each as a page does it: what it has, with one more word in its own cue, over the version that it has. */
    @Test
    void twentyPeopleInDifferentCuesLoseNoWord() throws Exception {
        int people = 20;
        int words = 6;
        String project = server.project(
                "Twenty",
                IntStream.range(0, people)
                        .mapToObj(i -> "Cue of person " + i + ".")
                        .collect(Collectors.joining("\n\n")));
        ExecutorService all = Executors.newFixedThreadPool(people);
        try {
            CountDownLatch together = new CountDownLatch(people);
            List<Future<?>> typing = new ArrayList<>();
            for (int person = 0; person < people; person++) {
                int me = person;
                typing.add(all.submit(() -> {
                    JsonNode first = server.json(project + "/script?text=true");
                    String text = first.get("text").asString();
                    int version = first.get("version").asInt();
                    together.countDown();
                    together.await();
                    for (int word = 0; word < words; word++) {
                        String typed = text.replace(
                                "person " + me + (word == 0 ? "." : " w" + (word - 1) + "."),
                                "person " + me + " w" + word + ".");
                        HttpResponse<String> saved = server.save(project, typed, version);
                        assertThat(saved.statusCode()).as(saved.body()).isEqualTo(200);
                        JsonNode answer = Server.parse(saved);
                        text = answer.hasNonNull("text") ? answer.get("text").asString() : typed;
                        version = answer.get("version").asInt();
                    }
                    return null;
                }));
            }
            for (Future<?> one : typing) {
                one.get(120, TimeUnit.SECONDS);
            }
        } finally {
            all.shutdownNow();
        }
        String text = text(project);
        for (int person = 0; person < people; person++) {
            assertThat(text).contains("Cue of person " + person + " w" + (words - 1) + ".");
        }
        assertThat(server.json(project + "/script").get("cues")).hasSize(people);
    }

    @Test
    void whatTwoChangedInOneCueIsOfferedAndNothingIsOverwritten() {
        String project = server.project("Two in one", "The lamp is lit.\n\nNobody slept.");
        int before = version(project);
        assertThat(server.save(project, "The lamp is lit at four.\n\nNobody slept.", before)
                        .statusCode())
                .isEqualTo(200);
        HttpResponse<String> other = server.save(project, "The lamp was lit.\n\nNobody slept.", before);
        assertThat(other.statusCode()).isEqualTo(409);
        assertThat(Server.parse(other).get("text").asString()).startsWith("The lamp is lit at four.");
        assertThat(text(project)).startsWith("The lamp is lit at four.");
        JsonNode third = Server.parse(server.save(project, "The lamp is lit.\n\nNobody slept that night.", before));
        assertThat(third.get("text").asString()).isEqualTo("The lamp is lit at four.\n\nNobody slept that night.");
        assertThat(act(project, "/script/undo", Map.of()).get("text").asString())
                .as("undo takes back what came last, and not the other's words")
                .isEqualTo("The lamp is lit at four.\n\nNobody slept.");
    }

    @Test
    void handMadeCutsSurviveLaterEdits() {
        String project = server.project("Cuts", "One two three four.\n\nFive six.");
        JsonNode cut = act(project, "/script/cut", Map.of("place", "8"));
        assertThat(cut.get("cues")).hasSize(3);
        JsonNode edited = save(project, "Zero and one, then two, three and four.\n\nFive six.");
        assertThat(edited.get("cues")).hasSize(3);
        int place = edited.get("cues").get(1).get("first").asInt();
        assertThat("Zero and one, then two, three and four.".substring(place)).startsWith("three");
        JsonNode joined = act(project, "/script/join", Map.of("place", Integer.toString(place)));
        assertThat(joined.get("cues")).hasSize(2);
        JsonNode all = act(
                project,
                "/script/join",
                Map.of(
                        "place",
                        Integer.toString(joined.get("cues").get(1).get("first").asInt())));
        assertThat(all.get("cues")).hasSize(1);
    }

    @Test
    void undoAndRedoReachBackThroughEveryKindOfChange() {
        String project = server.project("Undo", "First words.");
        save(project, "First words, and more.");
        act(project, "/script/split", Map.of("way", "words", "limit", "3"));
        save(project, "First words, and more still.");
        assertThat(act(project, "/script/undo", Map.of()).get("text").asString())
                .isEqualTo("First words, and more.");
        assertThat(act(project, "/script/undo", Map.of()).get("splitting").asString())
                .isEqualTo("blank-line");
        JsonNode first = act(project, "/script/undo", Map.of());
        assertThat(first.get("text").asString()).isEqualTo("First words.");
        assertThat(first.get("redo").asBoolean()).isTrue();
        assertThat(act(project, "/script/redo", Map.of()).get("text").asString())
                .isEqualTo("First words, and more.");
        assertThat(act(project, "/script/redo", Map.of()).get("splitting").asString())
                .isEqualTo("words:3");
        JsonNode last = act(project, "/script/redo", Map.of());
        assertThat(last.get("text").asString()).isEqualTo("First words, and more still.");
        assertThat(last.get("redo").asBoolean()).isFalse();
        assertThat(server.post(project + "/script/redo", Map.of("version", Integer.toString(version(project))))
                        .body())
                .contains("nothing to redo");
    }

    @Test
    void everySavedStateIsSeenComparedAndRestored() {
        String project = server.project("Versions", "The lamp was lit at dusk.");
        save(project, "The lamp was lit at dawn.");
        assertThat(server.get(project + "/versions").body()).contains("Typed").contains("as it is now");
        assertThat(server.get(project + "/versions/1").body())
                .contains("<del>dusk</del>")
                .contains("<ins>dawn</ins>");
        act(project, "/versions/1/restore", Map.of());
        assertThat(text(project)).isEqualTo("The lamp was lit at dusk.");
        assertThat(server.post(project + "/versions/1/restore", Map.of("version", "1"))
                        .statusCode())
                .as("from an old page")
                .isEqualTo(409);
    }

    @Test
    void aRefusedTextIsKeptAmongTheVersions() {
        String project = server.project("Draft", "Mine.");
        String draft = Server.parse(server.send(server.request(project + "/script/draft")
                        .header("Content-Type", "application/json")
                        .header("X-XSRF-TOKEN", server.token())
                        .POST(java.net.http.HttpRequest.BodyPublishers.ofString(
                                "{\"text\":\"Words that nobody may lose.\",\"version\":1}"))))
                .get("draft")
                .asString();
        assertThat(server.get(project + "/versions").body()).contains("Not saved, kept aside");
        act(project, "/versions/drafts/" + draft + "/restore", Map.of());
        assertThat(text(project)).isEqualTo("Words that nobody may lose.");
    }

    /** Numbers after the first delivery: 045 between 040 and 050, then 042; none is used twice. */
    @Test
    void numbersFreezeAtTheFirstDelivery() {
        String project = server.project("Frozen", "One.\n\nTwo.\n\nThree.\n\nFour.\n\nFive.");
        server.post(project + "/render", Map.of());
        Server.await("rendered", () -> server.ready(project) == 5);
        assertThat(numbers(save(project, "Zero.\n\nOne.\n\nTwo.\n\nThree.\n\nFour.\n\nFive.")))
                .as("free until then")
                .startsWith("010", "020");
        save(project, "One.\n\nTwo.\n\nThree.\n\nFour.\n\nFive.");
        server.post(project + "/deliveries", Map.of("pattern", "{number}_{slug}", "target", "-19"));
        assertThat(numbers(save(project, "Zero.\n\nOne.\n\nTwo.\n\nThree.\n\nFour.\n\nFive.")))
                .as("who comes back has had a number that another was given since")
                .containsExactly("005", "010", "020", "030", "040", "050");
        assertThat(numbers(save(project, "One.\n\nTwo.\n\nThree.\n\nFour.\n\nNew words here.\n\nFive.")))
                .containsExactly("010", "020", "030", "040", "045", "050");
        JsonNode second =
                save(project, "One.\n\nTwo.\n\nThree.\n\nFour.\n\nStill newer words.\n\nNew words here.\n\nFive.");
        assertThat(numbers(second)).containsExactly("010", "020", "030", "040", "042", "045", "050");
        JsonNode gone = save(project, "One.\n\nThree.\n\nFour.\n\nStill newer words.\n\nNew words here.\n\nFive.");
        assertThat(gone.get("report").get("gone").get(0).get("number").asString())
                .isEqualTo("020");
        assertThat(numbers(save(
                        project,
                        "One.\n\nQuite another cue.\n\nThree.\n\nFour.\n\nStill newer "
                                + "words.\n\nNew words here.\n\nFive.")))
                .contains("019")
                .doesNotContain("020");
        String cue = gone.get("report").get("gone").get(0).get("id").asString();
        JsonNode back = act(project, "/script/gone/" + cue, Map.of());
        assertThat(back.get("text").asString()).startsWith("One.\n\nTwo.\n\nQuite another cue.");
        assertThat(numbers(back)).startsWith("010", "020", "019");
        assertThat(server.post(
                                project + "/script/numbers",
                                Map.of(
                                        "start",
                                        "1",
                                        "step",
                                        "1",
                                        "width",
                                        "2",
                                        "version",
                                        Integer.toString(version(project))))
                        .body())
                .contains("their numbers stay");
    }

    @Test
    void directionGoesWithTheWordsWhenACueIsSplit() {
        String project =
                server.project("Direction", "The first half of it is here and the second half of it is there.");
        String cue = server.cues(project).get(0).get("id").asString();
        server.post(
                project + "/cues/" + cue + "/direction",
                Map.of("pace", "80", "version", server.version(project, cue, "cue")));
        JsonNode cut = act(project, "/script/cut", Map.of("place", "33"));
        assertThat(cut.get("cues")).hasSize(2);
        for (JsonNode half : cut.get("cues")) {
            assertThat(server.get(project + "/direct?cue=" + half.get("id").asString())
                            .body())
                    .contains("value=\"80\"");
        }
    }

    @Test
    void proofFindsAndTakingKeepsReadingsAndRewrites() {
        // before a voice has spoken, time is told by characters alone
        String spoken = server.project(
                "A voice that has spoken",
                "The keeper lit the lamp at the top of the tower, and it burned all night. ".repeat(4));
        server.post(spoken + "/render", Map.of("step", "WRITE"));
        Server.await("the voice is measured", () -> server.ready(spoken) == 1);
        Server.await("its rate is known", () -> rates.of(NativeVoices.DEFAULT_ID) != null);
        String project = server.project("Proof", "Its lens weighs 2.3 t.\n\nThe the lamp is lit at [beat] sunset");
        JsonNode findings = server.json(project + "/proof?all=true").get("findings");
        assertThat(findings)
                .extracting(f -> f.get("kind").asString())
                .containsExactly("UNIT", "DOUBLED_WORD", "STAGE_DIRECTION", "MISSING_STOP");
        assertThat(text(project)
                        .substring(
                                findings.get(0).get("start").asInt(),
                                findings.get(0).get("end").asInt()))
                .isEqualTo("2.3 t");
        double seconds = server.cues(project).get(0).get("seconds").asDouble();
        JsonNode done = Server.parse(take(project, findings));
        assertThat(done.get("sentence").asString()).isEqualTo("1 reading kept, 3 places changed in the script.");
        assertThat(text(project)).isEqualTo("Its lens weighs 2.3 t.\n\nThe lamp is lit at sunset.");
        assertThat(server.json(project + "/proof").get("findings")).isEmpty();
        assertThat(server.get(project + "/readings").body())
                .contains("two point three metric tons")
                .contains("in 010");
        // what others render meanwhile moves the voice's rate by a little; figures counted by letters are shorter by
        // half
        assertThat(server.cues(project).get(0).get("seconds").asDouble())
                .as("the rule said it already, and was counted")
                .isCloseTo(seconds, within(seconds / 10));
    }

    private HttpResponse<String> take(String project, JsonNode findings) {
        StringBuilder items = new StringBuilder();
        for (JsonNode f : findings) {
            JsonNode s = f.get("suggestions").get(0);
            items.append(items.isEmpty() ? "" : ",")
                    .append(
                            "{\"cue\":%s,\"from\":%s,\"to\":%s,\"written\":%s,\"kind\":%s,\"act\":%s,\"text\":%s,\"at\":%s}"
                                    .formatted(
                                            f.get("cue"),
                                            f.get("from"),
                                            f.get("to"),
                                            f.get("text"),
                                            f.get("kind"),
                                            s.get("act"),
                                            s.get("text"),
                                            s.get("at")));
        }
        return server.send(server.request(project + "/proof/take")
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", server.token())
                .POST(java.net.http.HttpRequest.BodyPublishers.ofString(
                        "{\"version\":" + version(project) + ",\"items\":[" + items + "]}")));
    }

    @Test
    void directionsInBracketsBecomeMarksAtOnePress() {
        String project = server.project(
                "Directions", "He counted [pause 1.5] seven ships. (whispering) Nobody rows. He waits (beat) still.");
        List<JsonNode> directions = server.json(project + "/proof")
                .get("findings")
                .valueStream()
                .filter(finding -> finding.get("kind").asString().equals("STAGE_DIRECTION"))
                .toList();
        assertThat(directions)
                .extracting(finding ->
                        finding.get("suggestions").get(0).get("label").asString())
                .containsExactly("Set a mark: a pause of 1.5 s", "Set a mark: whisper", "Set a mark: a pause of 0.5 s");
        String said = take(project, JsonMapper.builder().build().valueToTree(directions))
                .body();
        assertThat(said).contains("3 places changed in the script");
        assertThat(text(project)).isEqualTo("He counted seven ships. Nobody rows. He waits still.");
        String cue = server.cues(project).get(0).get("id").asString();
        assertThat(server.json(project + "/cues/" + cue + "/marks").get("marks"))
                .extracting(mark ->
                        mark.get("kind").asString() + " " + mark.get("value").asString()
                                + " on "
                                + text(project)
                                        .substring(
                                                mark.get("start").asInt(),
                                                mark.get("end").asInt()))
                .containsExactlyInAnyOrder("pause 1500 on counted", "whisper  on Nobody rows", "pause 500 on waits");
    }

    @Test
    void aNameFromElsewhereIsSaidAsItIsThereAtOnePress() {
        String project = server.project("Origin", "They sailed from Königsberg at noon.");
        JsonNode findings = server.json(project + "/proof").get("findings");
        assertThat(findings.get(0).get("suggestions").get(0).get("label").asString())
                .isEqualTo("Say it as German");
        assertThat(take(project, findings).body()).contains("1 mark set");
        assertThat(server.json(project + "/proof").get("findings")).isEmpty();
        String cue = server.cues(project).get(0).get("id").asString();
        JsonNode mark =
                server.json(project + "/cues/" + cue + "/marks").get("marks").get(0);
        assertThat(mark.get("kind").asString() + " " + mark.get("value").asString())
                .isEqualTo("language de own");
    }

    @Test
    void aDirectionUnderANameGoesWithItsLine() {
        String script = "DOVER\n(softly)\nI was never here.\n\nKENT\nYou were.\n\nDOVER\nGood night.";
        String project = server.project("Screenplay", script);
        List<JsonNode> directions = server.json(project + "/proof")
                .get("findings")
                .valueStream()
                .filter(finding -> finding.get("kind").asString().equals("STAGE_DIRECTION"))
                .toList();
        take(project, JsonMapper.builder().build().valueToTree(directions));
        assertThat(text(project)).isEqualTo(script.replace("(softly)\n", ""));
        assertThat(server.json(project + "/script").get("cues"))
                .extracting(cue -> cue.get("role").asString())
                .containsExactly("Dover", "Kent", "Dover");
    }

    @Test
    void aHomographIsReadByItsPlaceAndMovesWithItsWord() {
        String project = server.project("Place", "I have wound the clock. The wound healed.");
        JsonNode first =
                server.json(project + "/proof?all=true").get("findings").get(0);
        assertThat(first.get("text").asString()).isEqualTo("wound");
        take(project, JsonMapper.builder().build().readTree("[" + first + "]"));
        assertThat(server.json(project + "/proof").get("findings"))
                .as("the other one stays open or is right")
                .allSatisfy(f -> assertThat(f.get("from").asInt()).isGreaterThan(10));
        save(project, "By now I have wound the clock. The wound healed.");
        assertThat(server.get(project + "/readings").body()).contains("wownde").contains("cue 010");
        JsonNode lost = save(project, "By now the clock goes. It healed.");
        assertThat(lost.get("report").get("lost"))
                .extracting(JsonNode::asString)
                .containsExactly("wound");
    }

    @Test
    void aDismissedFindingStaysAway() {
        String project = server.project("Dismissed", "Skerrow Head stands here.\n\nSkerrow again.");
        JsonNode findings = server.json(project + "/proof").get("findings");
        assertThat(findings).hasSize(2);
        dismiss(project, findings.get(0).get("cue").toString());
        assertThat(server.json(project + "/proof").get("findings")).hasSize(1);
        dismiss(project, "null");
        assertThat(server.json(project + "/proof").get("findings")).isEmpty();
        server.post(project + "/proof/show-again", Map.of());
        assertThat(server.json(project + "/proof").get("findings")).hasSize(2);
    }

    private void dismiss(String project, String cue) {
        server.send(server.request(project + "/proof/dismiss")
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", server.token())
                .POST(java.net.http.HttpRequest.BodyPublishers.ofString(
                        "{\"cue\":" + cue + ",\"kind\":\"UNKNOWN_WORD\",\"text\":\"Skerrow\"}")));
    }

    @Test
    void aReadingChangesWhatIsRenderedAndOnlyThat() {
        String project = server.project("Reading", "Under UV light it glows.\n\nNothing else does.");
        server.post(project + "/render", Map.of());
        Server.await("rendered", () -> server.ready(project) == 2);
        assertThat(server.post(project + "/readings", Map.of("written", "UV", "said", "ultra violet", "as", "words"))
                        .body())
                .contains("ultra violet");
        assertThat(server.json(project + "/script").get("cues"))
                .extracting(c -> c.get("state").asString())
                .containsExactly("changed", "ready");
        assertThat(server.post(project + "/readings", Map.of("written", "UV", "said", "", "as", "words"))
                        .body())
                .contains("is missing");
        assertThat(server.get(project + "/readings/export?format=pls").body())
                .contains("<grapheme>UV</grapheme><alias>ultra violet</alias>");
        assertThat(server.bytes(server.asked(project + "/hear?written=UV&said=ultra+violet&as=words")
                                .get("sound")
                                .asString())
                        .length)
                .isGreaterThan(20_000);
    }

    @Test
    void findAndReplaceGoesThroughScriptAndReadings() {
        String project = server.project("Find", "The lamp, the lamps, a Lamp.\n\nlamp");
        assertThat(server.post(project + "/find", Map.of("what", "lamp")).body())
                .contains("4 places.");
        assertThat(server.post(project + "/find", Map.of("what", "lamp", "whole", "true", "matchCase", "true"))
                        .body())
                .contains("2 places.");
        assertThat(server.post(project + "/find", Map.of("what", "(a+)+$(", "expression", "true"))
                        .body())
                .contains("This regular expression can");
        act(project, "/find/replace", Map.of("what", "(l)amp(s?)", "with", "$1antern$2", "expression", "true"));
        assertThat(text(project)).isEqualTo("The lantern, the lanterns, a Lantern.\n\nlantern");
        assertThat(server.post(
                                project + "/find/replace",
                                Map.of("what", "zebra", "version", Integer.toString(version(project))))
                        .body())
                .contains("nothing was replaced");
    }

    @Test
    void moreCuesThanAProjectHoldsAreRefusedAndNothingIsLost() {
        String project = server.project("Too many", "Fog.");
        HttpResponse<String> refused = server.save(project, "Fog.\n\n".repeat(20_001), version(project));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("would have 20,001 cues, and a project holds 20,000");
        assertThat(text(project)).isEqualTo("Fog.");
        String lines = "Fog.\n".repeat(20_001);
        assertThat(server.save(project, lines, version(project)).statusCode()).isEqualTo(200);
        assertThat(server.post(
                                project + "/script/split",
                                Map.of("way", "line", "version", String.valueOf(version(project))))
                        .statusCode())
                .isEqualTo(422);
        assertThat(server.cues(project)).hasSize(1);
    }

    @Test
    void tenThousandOneWordCuesAreSavedAndProofed() {
        String project = server.project("Many", "Start.");
        JsonNode state = save(project, "Word.\n\n".repeat(10_000));
        assertThat(state.get("cues")).hasSize(10_000);
        assertThat(save(project, "Other.\n\n".repeat(10_000)).get("cues")).hasSize(10_000);
        assertThat(server.get(project + "/proof").statusCode()).isEqualTo(200);
    }
}
