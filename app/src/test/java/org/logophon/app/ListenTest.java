package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.core.signal.sound.Sound;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** What the Listen step promises: approvals, notes, takes and their history, by the addresses that its page asks. */
@Execution(ExecutionMode.CONCURRENT)
class ListenTest extends ApplicationTest {

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private AudioStore audio;

    private String rendered(String name, String script) {
        String project = server.project(name, script);
        server.post(project + "/render", Map.of("step", "LISTEN"));
        ready(project);
        return project;
    }

    private void ready(String project) {
        Server.await(
                "rendered", () -> server.ready(project) == server.cues(project).size());
    }

    private JsonNode cue(String project, int at) {
        return server.cues(project).get(at);
    }

    private String id(String project, int at) {
        return cue(project, at).get("id").asString();
    }

    private JsonNode sheet(String project, int at) {
        return server.json(project + "/listen/cues/" + id(project, at));
    }

    private int approve(String project, int at) {
        return server.post(
                        project + "/cues/" + id(project, at) + "/approval",
                        Map.of("sound", cue(project, at).get("sound").asString()))
                .statusCode();
    }

    private String reviewed(String project, int at) {
        return cue(project, at).get("reviewed").asString();
    }

    private void again(String project, int at) {
        server.post(project + "/cues/" + id(project, at) + "/render", Map.of());
        ready(project);
    }

    private int direct(String project, int at, Map<String, String> dials) {
        Map<String, String> form = new java.util.HashMap<>(dials);
        form.put("version", server.version(project, id(project, at), "cue"));
        return server.post(project + "/cues/" + id(project, at) + "/direction", form)
                .statusCode();
    }

    @Test
    void anApprovalHoldsForTheStateInWhichItWasHeardAndSaysWhatChanged() {
        String project = rendered("Approved", "The lamp was lit at four.\n\nNobody slept.");
        assertThat(approve(project, 0)).isEqualTo(200);
        assertThat(reviewed(project, 0)).isEqualTo("approved");
        assertThat(reviewed(project, 1)).isEqualTo("not heard");
        assertThat(server.get(project + "/listen").body()).contains("1 of 2 approved");
        direct(project, 0, Map.of("loudness", "-2"));
        assertThat(reviewed(project, 0)).isEqualTo("changed since heard: loudness");
        direct(project, 0, Map.of("loudness", "-2", "pace", "90"));
        assertThat(reviewed(project, 0)).isEqualTo("changed since heard: direction, loudness");
        // as it was: approved again, for it sounds as it did then
        direct(project, 0, Map.of());
        assertThat(reviewed(project, 0)).isEqualTo("approved");
        server.save(project, "The lamp was lit at five.\n\nNobody slept.", 1);
        assertThat(reviewed(project, 0)).isEqualTo("changed since heard: words");
        again(project, 0);
        assertThat(reviewed(project, 0)).isEqualTo("changed since heard: words");
        assertThat(approve(project, 0)).isEqualTo(200);
        server.post(project + "/cast", Map.of("role", "Narrator", "voice", "bram"));
        assertThat(reviewed(project, 0)).startsWith("changed since heard: ").contains("voice");
    }

    @Test
    void nothingIsApprovedThatWasNotHeard() {
        String project = rendered("Unheard", "The lamp was lit at four.");
        String heard = cue(project, 0).get("sound").asString();
        String approval = project + "/cues/" + id(project, 0) + "/approval";
        direct(project, 0, Map.of("loudness", "-3"));
        var stale = server.post(approval, Map.of("sound", heard));
        assertThat(stale.statusCode()).isEqualTo(409);
        assertThat(stale.body()).contains("has changed since you heard it");
        direct(project, 0, Map.of("loudness", "-3", "pace", "80"));
        var changed = server.post(
                approval, Map.of("sound", cue(project, 0).get("sound").asString()));
        assertThat(changed.statusCode()).isEqualTo(422);
        assertThat(changed.body()).contains("has changed since its take was made");
        String silent = server.project("Silent", "Not rendered.");
        assertThat(server.post(silent + "/cues/" + id(silent, 0) + "/approval", Map.of("sound", "x"))
                        .body())
                .contains("has no take yet");
    }

    private void note(String project, int at, String word, String remark) {
        String text = sheet(project, at).get("text").asString();
        var answer = server.post(
                project + "/cues/" + id(project, at) + "/notes",
                Map.of("at", String.valueOf(text.indexOf(word)), "remark", remark));
        assertThat(answer.statusCode()).isEqualTo(200);
    }

    @Test
    void aNoteFollowsItsWordThroughEditsIntoAnotherCueAndSaysWhenItIsGone() {
        String project = rendered("Noted", "The keeper lit the lamp. Then the storm came over the bay.");
        note(project, 0, "storm", "Darker, please.");
        assertThat(cue(project, 0).get("openNotes").asInt()).isEqualTo(1);
        server.save(project, "Long ago the keeper lit the old lamp. Then the storm came over the bay.", 1);
        JsonNode moved = sheet(project, 0).get("notes").get(0);
        assertThat(sheet(project, 0)
                        .get("text")
                        .asString()
                        .substring(moved.get("start").asInt(), moved.get("end").asInt()))
                .isEqualTo("storm");
        // the cue is cut before the word: the note goes along
        server.save(project, "Long ago the keeper lit the old lamp.\n\nThen the storm came over the bay.", 2);
        assertThat(sheet(project, 0).get("notes").size()).isZero();
        assertThat(sheet(project, 1).get("notes").get(0).get("word").asString()).isEqualTo("storm");
        // joined again, and back
        server.save(project, "Long ago the keeper lit the old lamp. Then the storm came over the bay.", 3);
        assertThat(sheet(project, 0).get("notes").get(0).get("index").asInt()).isEqualTo(10);
        server.save(project, "Long ago the keeper lit the old lamp. Then the stormy night came over the bay.", 4);
        assertThat(sheet(project, 0).get("notes").get(0).get("start").asInt()).isEqualTo(-1);
        assertThat(server.get(project + "/notes.csv").body())
                .isEqualToNormalizingNewlines(
                        "cue,word,note,state,heard_in,done_in\n010,storm,\"Darker, please.\",\"open, word gone\",,\n");
        // with the word its place comes back
        server.save(project, "Long ago the keeper lit the old lamp. Then the storm came over the bay.", 5);
        assertThat(sheet(project, 0).get("notes").get(0).get("index").asInt()).isEqualTo(10);
    }

    @Test
    void aNoteIsDoneInATakeAndTwoWindowsDontOverwriteEachOther() {
        String project = rendered("Done", "The lamp was lit at four.");
        note(project, 0, "lamp", "=cmd|too loud");
        String note = project + "/notes/"
                + server.json(project + "/notes").get(0).get("id").asString();
        assertThat(server.post(note, Map.of("remark", "Softer", "version", "0")).statusCode())
                .isEqualTo(200);
        var late = server.post(note, Map.of("remark", "Louder", "version", "0"));
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(server.json(project + "/notes").get(0).get("remark").asString())
                .isEqualTo("Softer");
        direct(project, 0, Map.of("pace", "90"));
        again(project, 0);
        server.post(note + "/done", Map.of());
        assertThat(server.json(project + "/notes").get(0).get("doneTake").asString())
                .isEqualTo("T2");
        assertThat(cue(project, 0).get("openNotes").asInt()).isZero();
        server.post(note + "/open", Map.of());
        server.post(note + "/delete", Map.of());
        assertThat(server.json(project + "/notes").size()).isZero();
        server.post(note + "/restore", Map.of());
        assertThat(server.json(project + "/notes").size()).isEqualTo(1);
        assertThat(server.post(project + "/cues/" + id(project, 0) + "/notes", Map.of("at", "0", "remark", "  "))
                        .body())
                .contains("A note needs text");
        assertThat(server.post(project + "/cues/" + id(project, 0) + "/notes", Map.of("at", "900", "remark", "x"))
                        .statusCode())
                .isEqualTo(422);
    }

    private List<String> differences(String project) {
        List<String> all = new ArrayList<>();
        sheet(project, 0)
                .get("takes")
                .forEach(take -> all.add(
                        take.get("name").asString() + ": " + take.get("differs").asString()));
        return all;
    }

    @Test
    void takesSayHowTheyDifferAndMakeTheirDirectionHoldAgainWithTheSameSamples() {
        String project = rendered("Like before", "The lens weighs 2.3 t, and it floats.");
        String cue = id(project, 0);
        byte[] first =
                server.bytes(sheet(project, 0).get("takes").get(0).get("sound").asString());
        server.post(project + "/cast", Map.of("role", "Narrator", "voice", "bram"));
        direct(project, 0, Map.of("pace", "88", "pitch", "-1"));
        server.post(
                project + "/cues/" + cue + "/marks", Map.of("start", "4", "end", "8", "kind", "pause", "value", "300"));
        server.post(
                project + "/cues/" + cue + "/marks",
                Map.of("start", "16", "end", "21", "kind", "reading", "value", "words: two point three tonnes"));
        again(project, 0);
        String differs = differences(project).get(0);
        assertThat(differs).startsWith("T2: voice Rufus → Bram").contains("→ 88 %", "pause 0.30 s after “lens”");
        // the take's direction, though role, voice and marks are others by now
        String t1 = sheet(project, 0).get("takes").get(1).get("id").asString();
        assertThat(server.post(project + "/takes/" + t1 + "/like", Map.of()).statusCode())
                .isEqualTo(200);
        assertThat(sheet(project, 0).get("taken").asString())
                .isEqualTo("Directed like T1, whatever its role and the script say now.");
        again(project, 0);
        JsonNode kept = sheet(project, 0).get("takes").get(0);
        assertThat(kept.get("id").asString())
                .as("the same recipe is the same take")
                .isEqualTo(t1);
        assertThat(server.bytes(kept.get("sound").asString())).isEqualTo(first);
        // an ordinary change: taken back, and the other voice speaks again
        assertThat(server.post(project + "/marks/undo", Map.of()).body()).contains("Undone: like T1.");
        assertThat(sheet(project, 0).get("taken").isNull()).isTrue();
        assertThat(sheet(project, 0).get("voice").asString()).isEqualTo("Bram");
        again(project, 0);
        assertThat(sheet(project, 0).get("takes").get(0).get("name").asString()).isEqualTo("T2");
        server.post(project + "/marks/redo", Map.of());
        assertThat(sheet(project, 0).get("taken").asString())
                .isEqualTo("Directed like T1, whatever its role and the script say now.");
        assertThat(server.post(project + "/cues/" + cue + "/follow", Map.of()).statusCode())
                .isEqualTo(200);
        assertThat(sheet(project, 0).get("taken").isNull()).isTrue();
        assertThat(server.post(project + "/cues/" + cue + "/follow", Map.of()).body())
                .contains("follows its role already");
    }

    @Test
    void moreTakesLieBesideTheKeptOneAndTheShortestOrTheNewestIsKeptForAll() {
        String project = rendered("More", "# One\n\nThe lamp was lit at four.\n\n# Two\n\nNobody slept that night.");
        server.post(project + "/listen/cues/" + id(project, 0) + "/more", Map.of("count", "3"));
        Server.await("four takes", () -> cue(project, 0).get("takes").asInt() == 4);
        assertThat(sheet(project, 0).get("takes").get(0).get("name").asString())
                .as("what was kept stays so")
                .isEqualTo("T1");
        assertThat(differences(project))
                .anyMatch(said -> said.contains("liveliness 0 → 30 %"))
                .anyMatch(said -> said.contains("another seed"));
        assertThat(jdbc.queryForObject(
                        "select count(distinct t.speech_id) from take t where cue_id = ?",
                        Integer.class,
                        UUID.fromString(id(project, 0))))
                .isEqualTo(4);
        assertThat(server.post(project + "/listen/keep", Map.of("choice", "NEWEST", "scene", "Two"))
                        .body())
                .contains("takes are kept already");
        server.post(project + "/listen/keep", Map.of("choice", "NEWEST"));
        assertThat(sheet(project, 0).get("takes").get(0).get("name").asString()).isEqualTo("T4");
        server.post(project + "/listen/keep", Map.of("choice", "SHORTEST", "scene", "One"));
        double kept = sheet(project, 0).get("takes").get(0).get("seconds").asDouble();
        sheet(project, 0)
                .get("takes")
                .forEach(take -> assertThat(take.get("seconds").asDouble()).isGreaterThanOrEqualTo(kept));
        assertThat(server.post(project + "/listen/keep", Map.of("choice", "STARRED"))
                        .body())
                .contains("No takes there are starred");
        assertThat(server.post(project + "/listen/cues/" + id(project, 0) + "/more", Map.of("count", "200"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(server.post(project + "/listen/again", Map.of()).body()).contains("Set a role’s liveliness");
    }

    @Test
    void whatNobodySaidAnythingOfIsCleanedUpAndComesBackUntilItIsEmptied() {
        String project = rendered(
                "Cleaned", "The lamp was lit at four, and nobody slept before the storm had gone out over the bay.");
        server.post(project + "/listen/cues/" + id(project, 0) + "/more", Map.of("count", "3"));
        Server.await("four takes", () -> cue(project, 0).get("takes").asInt() == 4);
        Map<String, String> named = new java.util.HashMap<>();
        sheet(project, 0)
                .get("takes")
                .forEach(take ->
                        named.put(take.get("name").asString(), take.get("id").asString()));
        server.post(
                project + "/listen/takes/" + named.get("T2") + "/words",
                Map.of("labels", "warm, warm , brisk", "name", "Soft"));
        assertThat(sheet(project, 0).get("labels").toString()).isEqualTo("[\"brisk\",\"warm\"]");
        assertThat(server.post(
                                project + "/listen/takes/" + named.get("T2") + "/words",
                                Map.of("labels", "x".repeat(31)))
                        .body())
                .contains("A label has 30 characters at most, and this has 31.");
        JsonNode before = server.json(project + "/listen/storage");
        assertThat(before.get("takes").asInt()).isEqualTo(4);
        assertThat(before.get("loose").asInt()).isEqualTo(2);
        assertThat(before.get("looseBytes").asLong())
                .isPositive()
                .isLessThan(before.get("all").asLong());
        assertThat(server.post(project + "/listen/clean", Map.of()).body()).contains("2 takes were deleted");
        assertThat(cue(project, 0).get("takes").asInt()).isEqualTo(2);
        server.post(project + "/listen/takes/" + named.get("T3") + "/restore", Map.of());
        assertThat(cue(project, 0).get("takes").asInt()).isEqualTo(3);
        long sounds = jdbc.queryForObject("select count(*) from sound", Long.class);
        String freed = server.post(project + "/listen/empty", Map.of()).body();
        assertThat(freed).contains("MB freed").doesNotContain(" 0.0 MB");
        assertThat(sheet(project, 0).get("takes").size()).isEqualTo(3);
        assertThat(jdbc.queryForObject(
                        "select count(*) from take where cue_id = ?", Integer.class, UUID.fromString(id(project, 0))))
                .as("what made it is still known")
                .isEqualTo(4);
        assertThat(sounds).isPositive();
        var gone = server.post(project + "/listen/takes/" + named.get("T4") + "/restore", Map.of());
        assertThat(gone.statusCode()).isEqualTo(404);
        assertThat(gone.body()).contains("was deleted for good");
        assertThat(server.post(project + "/listen/takes/" + named.get("T1") + "/delete", Map.of())
                        .body())
                .contains("T1 is the kept take");
    }

    @Test
    void theHistoryTellsEverythingAndHowItWasThen() throws InterruptedException {
        String project = rendered("Told", "The lamp was lit at four.");
        String cue = id(project, 0);
        approve(project, 0);
        note(project, 0, "four", "Earlier?");
        Instant then = Instant.now();
        server.save(project, "The lamp was lit at five.", 1);
        again(project, 0);
        server.post(project + "/cast", Map.of("role", "Narrator", "voice", "bram"));
        server.post(project + "/deliveries", Map.of("pattern", "{number}", "target", "-19"));
        Server.await(
                "delivered", () -> server.json(project + "/history").toString().contains("delivered"));
        List<String> told = new ArrayList<>();
        server.json(project + "/history")
                .forEach(line -> told.add(line.get("told").asString()));
        assertThat(told)
                .containsExactly(
                        "delivered: Delivery 1",
                        "voice recast: Narrator: Rufus → Narrator: Bram",
                        "T2 kept",
                        "T2 rendered",
                        "words changed: The lamp was lit at four. → The lamp was lit at five.",
                        "noted: “four”: Earlier?",
                        "approved",
                        "T1 kept",
                        "T1 rendered");
        JsonNode was = server.json(project + "/cues/" + cue + "/then?at=" + then);
        assertThat(was.get("words").asString()).isEqualTo("The lamp was lit at four.");
        assertThat(was.get("name").asString()).isEqualTo("T1");
        assertThat(was.get("kept").asBoolean()).isFalse();
        assertThat(server.bytes(was.get("sound").asString())).startsWith('R', 'I', 'F', 'F');
        assertThat(server.get(project + "/history.csv").body())
                .startsWith("at,what,cue,take,before,after")
                .contains("words changed,010,,The lamp was lit at four.");
        assertThat(server.get(project + "/cues/" + cue + "/then?at=yesterday").statusCode())
                .isEqualTo(422);
        assertThatThrownBy(() -> jdbc.update("delete from happening")).hasMessageContaining("only added to");
        // another version of the programme, as it was delivered
        assertThat(server.json(project + "/listen/versions").toString()).contains("delivery-1");
        assertThat(server.json(project + "/listen/versions/delivery-1").size()).isZero();
        again(project, 0);
        assertThat(server.json(project + "/listen/versions/delivery-1")
                        .get(cue)
                        .get("name")
                        .asString())
                .isEqualTo("T2");
        assertThat(server.get(project + "/listen/versions/delivery-9").statusCode())
                .isEqualTo(404);
    }

    @Test
    void everyKeptTakeIsCheckedOnceAndAFindingCanBeLeft() {
        String project = rendered("Checked", "The boy asked whether the light would burn until dawn, and I said yes.");
        Server.await(
                "checked",
                () -> server.json(project + "/listen/check").get("checked").asInt() == 1);
        assertThat(server.json(project + "/listen/check").get("findings").size())
                .isZero();
        // a stretch of its sound is lost, as by a fault of an engine
        UUID cue = UUID.fromString(id(project, 0));
        UUID speech = jdbc.queryForObject(
                "select t.speech_id from cue c join take t on t.id = c.kept_take where c.id = ?", UUID.class, cue);
        byte[] wav = server.bytes(cue(project, 0).get("sound").asString());
        ByteBuffer bytes = ByteBuffer.wrap(wav).order(ByteOrder.LITTLE_ENDIAN);
        short[] samples = new short[(wav.length - 44) / 2];
        bytes.position(44).asShortBuffer().get(samples);
        Arrays.fill(samples, samples.length / 3, samples.length / 2, (short) 0);
        jdbc.update(
                "update speech set sound_id = ? where id = ?",
                audio.store(Sound.ofPcm16(samples, bytes.getInt(24))).id(),
                speech);
        jdbc.update("delete from speech_check where speech_id = ?", speech);
        Server.await(
                "checked again",
                () -> server.json(project + "/listen/check").get("checked").asInt() == 1);
        JsonNode found = server.json(project + "/listen/check").get("findings");
        assertThat(found.size()).isPositive();
        assertThat(found.toString()).contains("\"missing\"");
        int before = found.size();
        server.post(
                project + "/listen/takes/" + found.get(0).get("take").asString() + "/dismiss",
                Map.of(
                        "kind",
                        found.get(0).get("kind").asString().toUpperCase(java.util.Locale.ROOT),
                        "start",
                        found.get(0).get("start").asString()));
        assertThat(server.json(project + "/listen/check").get("findings").size())
                .isLessThan(before);
        server.post(project + "/listen/check/show", Map.of());
        assertThat(server.json(project + "/listen/check").get("findings").size())
                .isEqualTo(before);
    }

    @Test
    void openNotesGoAlongWithAPackageAsMarkers() {
        String project = rendered("Marked", "The lamp was lit at four.\n\nNobody slept that night.");
        note(project, 1, "slept", "Quieter");
        server.post(project + "/deliveries", Map.of("pattern", "{number}", "target", "-19"));
        Server.await("built", () -> server.get(project + "/deliveries").body().contains("/file"));
        String markers = Packages.of(server, project).get("markers.csv");
        double start = cue(project, 1).get("start").asDouble();
        String[] row = markers.split("\r\n")[1].split(",");
        assertThat(row[1]).isEqualTo("020 slept");
        assertThat(row[2]).isEqualTo("Quieter");
        String[] time = row[0].split(":");
        double at = Integer.parseInt(time[2]) + Integer.parseInt(time[3]) / 25.0;
        assertThat(at).isBetween(start + 0.2, start + 1.2);
    }
}
