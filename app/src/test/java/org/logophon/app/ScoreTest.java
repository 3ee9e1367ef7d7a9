package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Marks on cues, as the server keeps, renders and undoes them. */
class ScoreTest extends ApplicationTest {

    private static final String LINE = "The crew have one tide to lift it out, and the sling is rated for it.";

    private String rendered(String name, String script, int cues) {
        String project = server.project(name, script);
        server.post(project + "/render", Map.of());
        Server.await("rendered", () -> server.ready(project) == cues);
        return project;
    }

    private String cue(String project, int at) {
        return project + "/cues/" + server.cues(project).get(at).get("id").asString();
    }

    private JsonNode set(String cue, String text, String words, String kind, String value) {
        int start = text.indexOf(words);
        return Server.parse(server.post(
                cue + "/marks",
                Map.of("start", "" + start, "end", "" + (start + words.length()), "kind", kind, "value", value)));
    }

    private JsonNode render(String project, String cue, int cues) {
        server.post(cue + "/render", Map.of());
        Server.await("rendered", () -> server.ready(project) == cues);
        return server.json(cue + "/marks").get("marks");
    }

    @Test
    void aMarkChangesItsCueAloneAndWhatWasReachedIsShown() {
        String project = rendered("Marks", LINE + "\n\nNobody sleeps.", 2);
        String cue = cue(project, 0);
        double before = server.cues(project).get(0).get("seconds").asDouble();
        JsonNode marks = set(cue, LINE, "one tide to lift", "pace", "80").get("marks");
        assertThat(marks).hasSize(1);
        assertThat(marks.get(0).get("from").asInt()).isEqualTo(3);
        assertThat(marks.get(0).get("to").asInt()).isEqualTo(6);
        assertThat(marks.get(0).get("label").asString()).isEqualTo("pace 80 %");
        assertThat(marks.get(0).get("reached").isNull()).as("not rendered yet").isTrue();
        assertThat(server.cues(project))
                .extracting(c -> c.get("state").asString())
                .containsExactly("changed", "ready");
        set(cue, LINE, "crew", "pause", "700");
        JsonNode made = render(project, cue, 2);
        assertThat(made.get(0).get("kind").asString()).isEqualTo("pause");
        assertThat(made.get(0).get("reached").asDouble()).isCloseTo(700, within(20.0));
        assertThat(made.get(1).get("reached").asDouble()).isCloseTo(80, within(2.4));
        assertThat(server.cues(project).get(0).get("seconds").asDouble()).isGreaterThan(before + 0.7);
    }

    @Test
    void everyChangeIsUndoneAndDoneAgain() {
        String project = rendered("Scores of yesterday", LINE, 1);
        String cue = cue(project, 0);
        set(cue, LINE, "tide", "stress", "strong");
        set(cue, LINE, "tide", "stress", "reduced");
        assertThat(server.json(cue + "/marks").get("marks"))
                .singleElement()
                .satisfies(mark -> assertThat(mark.get("value").asString()).isEqualTo("reduced"));
        assertThat(server.post(project + "/marks/undo", Map.of()).body()).contains("Undone: stress.");
        assertThat(server.json(cue + "/marks").get("marks").get(0).get("value").asString())
                .isEqualTo("strong");
        server.post(project + "/marks/undo", Map.of());
        assertThat(server.json(cue + "/marks").get("marks")).isEmpty();
        assertThat(server.ready(project))
                .as("as it was, so the kept take holds")
                .isEqualTo(1);
        assertThat(server.post(project + "/marks/undo", Map.of()).body()).contains("nothing to undo");
        server.post(project + "/marks/redo", Map.of());
        server.post(project + "/marks/redo", Map.of());
        assertThat(server.json(cue + "/marks").get("marks").get(0).get("value").asString())
                .isEqualTo("reduced");
        assertThat(server.post(project + "/marks/redo", Map.of()).body()).contains("nothing to redo");
    }

    @Test
    void marksGoWithTheirWordsThroughEditsAndSplits() {
        String project = server.project("Edits", LINE);
        String cue = cue(project, 0);
        set(cue, LINE, "one tide", "pitch", "-2");
        set(cue, LINE, "sling", "stress", "strong");
        String edited = "At dawn the crew have one tide to lift it out, and the old sling is rated for it.";
        server.save(project, edited, 1);
        JsonNode marks = server.json(cue + "/marks").get("marks");
        assertThat(marks)
                .extracting(mark -> edited.substring(
                        mark.get("start").asInt(), mark.get("end").asInt()))
                .containsExactly("one tide", "sling");
        // cut in two: each half keeps what stands on its words
        server.save(project, edited.replace(", and", ",\n\nand"), 2);
        String second = cue(project, 1);
        assertThat(server.json(cue(project, 0) + "/marks").get("marks"))
                .singleElement()
                .satisfies(mark -> assertThat(mark.get("kind").asString()).isEqualTo("pitch"));
        assertThat(server.json(second + "/marks").get("marks"))
                .singleElement()
                .satisfies(mark -> assertThat(mark.get("kind").asString()).isEqualTo("stress"));
        // words that go take their marks along, and it is said
        assertThat(server.save(
                                project,
                                "At dawn the crew have one tide to lift it out,\n\nand the old rope is rated for it.",
                                3)
                        .body())
                .contains("lost");
    }

    @Test
    void manyCuesAreMarkedAtOnce() {
        String project = server.project("Many", "NARRATOR: One.\n\nKEEPER: Two words.\n\nKEEPER: Three words here.");
        assertThat(server.post(project + "/marks/all", Map.of("role", "Keeper", "kind", "pace", "value", "92"))
                        .body())
                .contains("2 cues changed.");
        assertThat(server.json(cue(project, 0) + "/marks").get("marks")).isEmpty();
        assertThat(server.json(cue(project, 2) + "/marks")
                        .get("marks")
                        .get(0)
                        .get("to")
                        .asInt())
                .isEqualTo(2);
        server.post(project + "/marks/undo", Map.of());
        assertThat(server.json(cue(project, 2) + "/marks").get("marks")).isEmpty();
        assertThat(server.post(project + "/marks/all", Map.of("kind", "pause", "value", "300"))
                        .body())
                .contains("stands between two words");
    }

    @Test
    void aRoleRestsByItsHabitsAndOnceMoreDiffers() {
        String project = rendered("Habits", "One, two. Three.", 1);
        String cue = cue(project, 0);
        double before = server.cues(project).get(0).get("seconds").asDouble();
        assertThat(server.post(cue + "/more", Map.of()).body()).contains("Set the liveliness");
        String version = server.version(project, cue.replaceAll(".*/", ""), "role");
        assertThat(server.post(
                                project + "/roles/rests",
                                Map.of(
                                        "role",
                                        "Narrator",
                                        "comma",
                                        "0.8",
                                        "stop",
                                        "1.2",
                                        "lively",
                                        "40",
                                        "version",
                                        version))
                        .statusCode())
                .isEqualTo(200);
        render(project, cue, 1);
        double rested = server.cues(project).get(0).get("seconds").asDouble();
        assertThat(rested).isGreaterThan(before + 0.9);
        String first = server.cues(project).get(0).get("sound").asString();
        assertThat(server.post(cue + "/more", Map.of()).statusCode()).isEqualTo(200);
        assertThat(server.ready(project)).as("another take is wanted").isZero();
        render(project, cue, 1);
        assertThat(server.cues(project).get(0).get("sound").asString()).isNotEqualTo(first);
        assertThat(server.post(project + "/roles/rests", Map.of("role", "Narrator", "comma", "11", "version", "99"))
                        .body())
                .contains("goes from 0 to 10 s");
        assertThat(server.post(project + "/roles/rests", Map.of("role", "Narrator", "comma", "1", "version", "99"))
                        .statusCode())
                .isEqualTo(409);
    }

    @Test
    void whatCannotBeMarkedIsASentence() {
        String project = server.project("Refused", LINE);
        String cue = cue(project, 0);
        assertThat(server.post(cue + "/marks", Map.of("start", "1", "end", "3", "kind", "pitch", "value", "2"))
                        .body())
                .contains("in the cue any more");
        assertThat(server.post(cue + "/marks", Map.of("start", "0", "end", "3", "kind", "pitch", "value", "40"))
                        .body())
                .contains("Pitch goes from -12 to 12 semitones");
        assertThat(server.post(cue + "/marks", Map.of("start", "0", "end", "3", "kind", "<b>", "value", "40"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(server.post(cue + "/marks", Map.of("start", "3", "end", "0", "kind", "pitch", "value", "4"))
                        .body())
                .contains("at least one word");
        assertThat(server.get(project + "/cues/3f0c1f5e-0b1d-4f0a-9a51-000000000000/marks")
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void aCopyOfAProjectHasItsMarks() {
        String project = server.project("Original", LINE);
        set(cue(project, 0), LINE, "tide", "loudness", "3");
        server.post(project + "/duplicate", Map.of());
        String copy = server.named("Original (copy)");
        assertThat(server.json(cue(copy, 0) + "/marks")
                        .get("marks")
                        .get(0)
                        .get("label")
                        .asString())
                .isEqualTo("loudness +3 dB");
    }

    @Test
    void suggestionsAreNotHeardUntilTheyAreTakenAndClearingLeavesOnesOwn() {
        String project = rendered("Suggested", "Its lens weighs 2.3 t, not the crane, but the glass.\n\n" + LINE, 2);
        String cue = cue(project, 0);
        assertThat(server.post(cue + "/suggest", Map.of()).body()).contains("Suggested in 1 cue.");
        assertThat(server.ready(project)).as("nothing is heard yet").isEqualTo(2);
        JsonNode marks = server.json(cue + "/marks").get("marks");
        assertThat(marks).isNotEmpty().allSatisfy(mark -> {
            assertThat(mark.get("origin").asString()).isEqualTo("suggested");
            assertThat(mark.get("reason").asString()).isNotBlank();
        });
        JsonNode one = marks.get(0);
        server.post(
                cue + "/suggest/take",
                Map.of(
                        "start",
                        one.get("start").asString(),
                        "end",
                        one.get("end").asString(),
                        "kind",
                        one.get("kind").asString()));
        assertThat(server.json(cue + "/marks").get("marks"))
                .filteredOn(mark -> mark.get("origin").asString().equals("taken"))
                .hasSize(1);
        assertThat(server.ready(project)).isEqualTo(1);
        set(cue, "Its lens weighs", "Its", "stress", "reduced");
        server.post(cue + "/suggest", Map.of("scope", "ALL"));
        assertThat(server.json(cue(project, 1) + "/marks").get("marks"))
                .as("its phrasing says all of it")
                .isEmpty();
        server.post(cue + "/suggest/take", Map.of("scope", "ALL"));
        server.post(cue + "/suggest/clear", Map.of("scope", "ALL"));
        assertThat(server.json(cue + "/marks").get("marks"))
                .singleElement()
                .satisfies(mark -> assertThat(mark.get("value").asString()).isEqualTo("reduced"));
    }

    @Test
    void aCueAndAScriptGoOutAsSsmlThatComesBack() {
        String project = server.project("As SSML", "# Sea & salt\n\n" + LINE + "\n\n# Land\n\nUnder UV light.");
        set(cue(project, 0), LINE, "one tide", "pace", "80");
        set(cue(project, 0), LINE, "crew", "pause", "300");
        server.post(project + "/readings", Map.of("written", "UV", "said", "ultra violet", "as", "words"));
        String ssml = server.get(cue(project, 0) + "/ssml").body();
        assertThat(ssml)
                .contains("<p score:phrasing=\"100\">The crew<break time=\"300ms\"/> have ")
                .contains("have <prosody rate=\"80%\">one tide</prosody> to");
        var whole = server.get(project + "/score.ssml");
        assertThat(whole.headers().firstValue("Content-Disposition").orElse("")).contains("as-ssml.ssml");
        var read = org.logophon.core.direction.ssml.SsmlReader.read(whole.body());
        assertThat(read.cues())
                .extracting(org.logophon.core.direction.ssml.SsmlCue::text)
                .containsExactly(LINE, "Under UV light.");
        assertThat(read.cues().get(1).readings())
                .singleElement()
                .satisfies(placed -> assertThat(placed.reading().said()).isEqualTo("ultra violet"));
        assertThat(org.logophon.core.direction.ssml.SsmlReader.read(
                                server.get(project + "/score.ssml?scene=Land").body())
                        .cues())
                .hasSize(1);
    }

    @Test
    void twoTabsLoseNothingOfOneAnother() {
        String project = server.project("Two tabs at once", LINE);
        String cue = cue(project, 0);
        server.token();
        java.util.List<String> words =
                java.util.List.of("crew", "have", "one", "tide", "lift", "out", "sling", "rated");
        words.parallelStream()
                .forEach(word -> assertThat(
                                set(cue, LINE, word, "stress", "strong").has("marks"))
                        .isTrue());
        assertThat(server.json(cue + "/marks").get("marks")).hasSize(words.size());
        words.forEach(word -> server.post(project + "/marks/undo", Map.of()));
        assertThat(server.json(cue + "/marks").get("marks")).isEmpty();
    }
}
