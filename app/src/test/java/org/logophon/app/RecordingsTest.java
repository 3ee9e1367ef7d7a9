package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A recording is a take like any other: what the addresses of the Record page promise. */
@Execution(ExecutionMode.CONCURRENT)
class RecordingsTest extends ApplicationTest {

    private static final String LINE = "Clear night. Every star is out.";

    @Autowired
    private JdbcTemplate jdbc;

    @TempDir
    private Path folder;

    private String project;
    private String cue;

    private void script(String text) {
        project = server.project("Recorded", text);
        cue = server.cues(project).get(0).get("id").asString();
    }

    private HttpResponse<String> send(String path, byte[] sound) {
        server.get("/");
        return server.send(server.request(path)
                .header("X-XSRF-TOKEN", server.token())
                .setHeader("Accept", "application/json")
                .header("Content-Type", "application/octet-stream")
                .POST(HttpRequest.BodyPublishers.ofByteArray(sound)));
    }

    private String taken(byte[] sound) {
        HttpResponse<String> answer = send(project + "/record/cues/" + cue + "?name=010.wav", sound);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Server.parse(answer).get("take").asString();
    }

    private JsonNode sheet() {
        return server.json(project + "/record/cues/" + cue);
    }

    private JsonNode cueNow() {
        return server.cues(project).get(0);
    }

    private void ready() {
        Server.await("ready", () -> "ready".equals(cueNow().get("state").asString()));
    }

    @Test
    void itIsStoredInTwentyFourBitsWithItsWordsAndKept() {
        script("KEEPER: " + LINE);
        String take = taken(PersonSaying.wav(0.8, 0.8, LINE));
        assertThat(cueNow().get("state").asString()).isEqualTo("ready");
        assertThat(sheet().path("takes").get(0).path("kept").asBoolean()).isTrue();
        Map<String, Object> sound = jdbc.queryForMap(
                "select w.bits, w.sample_rate from take t join speech s on s.id = t.speech_id join sound w "
                        + "on w.id = s.sound_id where t.id = ?::uuid",
                take);
        assertThat(sound).containsEntry("bits", 24).containsEntry("sample_rate", 48_000);
        JsonNode score = server.json(project + "/takes/" + take + "/score");
        assertThat(score.path("words")).hasSize(6);
        double before = -1;
        for (JsonNode word : score.path("words")) {
            assertThat(word.path("from").asDouble()).isGreaterThan(before);
            before = word.path("from").asDouble();
        }
        // the room before and after is left out, but for a little
        assertThat(score.path("words").get(0).path("from").asDouble()).isLessThan(0.25);
        assertThat(server.bytes(cueNow().path("sound").asString()).length).isGreaterThan(100_000);
    }

    /** As on renders: asked for, heard, measured and shown; what asks an engine is done in the signal. */
    @Test
    void marksAreHeardOnARecording() {
        script("KEEPER: " + LINE);
        taken(PersonSaying.wav(0.5, 0.5, LINE));
        double seconds = cueNow().get("seconds").asDouble();
        String at = project + "/cues/" + cue;
        int star = LINE.indexOf("star");
        server.post(
                at + "/marks",
                Map.of(
                        "start",
                        Integer.toString(star),
                        "end",
                        Integer.toString(star + 4),
                        "kind",
                        "pause",
                        "value",
                        "700"));
        server.post(at + "/marks", Map.of("start", "0", "end", "11", "kind", "pitch", "value", "2"));
        assertThat(cueNow().get("state").asString()).isEqualTo("changed");
        server.post(at + "/render", Map.of());
        ready();
        JsonNode marks = server.json(at + "/marks").path("marks");
        for (JsonNode mark : marks) {
            double asked = mark.path("kind").asString().equals("pause") ? 700 : 2;
            assertThat(mark.path("reached").asDouble())
                    .as(mark.toString())
                    .isCloseTo(asked, org.assertj.core.data.Offset.offset(asked == 2 ? 0.5 : 20));
        }
        assertThat(cueNow().get("seconds").asDouble()).isBetween(seconds + 0.5, seconds + 0.8);
        assertThat(sheet().path("takes")).hasSize(2);
        assertThat(sheet().path("voice").asString()).isEqualTo("Your recording");
    }

    @Test
    void aRoleAndAScriptThatChangeTheirPaceLeaveItAsItWasSaid() {
        script("KEEPER: " + LINE);
        taken(PersonSaying.wav(0.5, 0.5, LINE));
        server.post(project + "/cues/" + cue + "/project/direction", Map.of("pace", "150", "version", "0"));
        assertThat(cueNow().get("state").asString()).isEqualTo("ready");
    }

    @Test
    void otherWordsAreToldAndItsVoiceSaysThemAgain() {
        script("KEEPER: " + LINE);
        taken(PersonSaying.wav(0.5, 0.5, LINE));
        server.save(project, "KEEPER: Clear night. Every star is bright.", 1);
        assertThat(cueNow().get("state").asString()).isEqualTo("changed");
        server.post(project + "/cues/" + cue + "/render", Map.of());
        Server.await("a sentence", () -> !sheet().path("problem").isNull());
        assertThat(sheet().path("problem").asString()).contains("The words have changed since they were recorded");
        assertThat(server.post(project + "/record/cues/" + cue + "/voice", Map.of())
                        .statusCode())
                .isEqualTo(200);
        server.post(project + "/cues/" + cue + "/render", Map.of());
        ready();
        assertThat(sheet().path("recorded").asBoolean()).isFalse();
    }

    @Test
    void aRecastIsATakeThatIsMadeAgainToTheSample() {
        script("KEEPER: " + LINE);
        String take = taken(PersonSaying.wav(0.5, 0.5, LINE));
        String recast = project + "/record/takes/" + take + "/recast";
        assertThat(server.post(recast, Map.of("voice", "rufus", "timing", "80")).body())
                .contains("in progress");
        ready();
        String first = cueNow().path("sound").asString();
        assertThat(server.post(recast, Map.of("voice", "rufus", "timing", "100"))
                        .statusCode())
                .isEqualTo(200);
        Server.await(
                "the other",
                () -> "ready".equals(cueNow().get("state").asString())
                        && !cueNow().path("sound").asString().equals(first));
        assertThat(server.post(recast, Map.of("voice", "rufus", "timing", "80")).statusCode())
                .isEqualTo(200);
        Server.await("the first again", () -> cueNow().path("sound").asString().equals(first));
        assertThat(jdbc.queryForList(
                        "select distinct source from take where cue_id = ?::uuid order by source", String.class, cue))
                .containsExactly("recast", "uploaded");
        // a recording is no voice that anybody could be cast with, nor one that another recording could be said by
        assertThat(server.post(recast, Map.of("voice", "recording:" + take + ":en-GB"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(server.post(project + "/cast", Map.of("role", "Keeper", "voice", "recording:nonsense"))
                        .statusCode())
                .isGreaterThanOrEqualTo(400);
        assertThat(server.post(recast, Map.of("voice", "nobody")).statusCode()).isEqualTo(422);
        assertThat(server.post(recast, Map.of("voice", "rufus", "timing", "400"))
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void aCleanedOneIsAnotherTakeAndTheRecordingStays() {
        script("KEEPER: " + LINE);
        String take = taken(PersonSaying.wav(0.5, 0.5, LINE));
        HttpResponse<String> cleaned = server.post(
                project + "/record/takes/" + take + "/clean", Map.of("noise", "10", "hum", "50", "rumble", "true"));
        assertThat(cleaned.statusCode()).as(cleaned.body()).isEqualTo(200);
        assertThat(sheet().path("takes")).hasSize(2);
        assertThat(sheet().path("takes").get(0).path("cleaned").asString())
                .isEqualTo("noise reduced by 10 dB, 50 Hz hum removed, rumble removed");
        assertThat(sheet().path("takes").get(0).path("kept").asBoolean()).isTrue();
        assertThat(sheet().path("cleaning").path("noiseDb").asDouble())
                .as("the role's next recordings begin with it")
                .isEqualTo(10);
        assertThat(sheet().path("cleaning").path("humHz").asInt()).isEqualTo(50);
        assertThat(server.post(project + "/record/takes/" + take + "/clean", Map.of())
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void everyFormatIsReadAndAVideosSoundToo() throws Exception {
        script("KEEPER: Clear night.");
        Path wav = Files.write(folder.resolve("said.wav"), PersonSaying.wav(0.2, 0.1, "Clear night."));
        for (String name : new String[] {"said.flac", "said.mp3", "said.m4a", "said.opus", "said.ogg", "film.mkv"}) {
            Path coded = folder.resolve(name);
            ProcessBuilder ffmpeg = name.endsWith("mkv")
                    ? new ProcessBuilder(
                            "ffmpeg",
                            "-v",
                            "error",
                            "-f",
                            "lavfi",
                            "-i",
                            "color=black:size=64x64:rate=5:duration=3",
                            "-i",
                            wav.toString(),
                            "-c:v",
                            "libvpx",
                            "-c:a",
                            "libopus",
                            "-shortest",
                            coded.toString())
                    : new ProcessBuilder("ffmpeg", "-v", "error", "-i", wav.toString(), coded.toString());
            assertThat(ffmpeg.inheritIO().start().waitFor()).isZero();
            taken(Files.readAllBytes(coded));
        }
        assertThat(sheet().path("takes")).hasSize(6);
    }

    @Test
    void whatCanNotBeTakenIsToldInASentenceAndNothingIsLost() throws IOException {
        script("KEEPER: " + LINE);
        String at = project + "/record/cues/" + cue;
        Map<String, byte[]> bad = Map.of(
                "isn't sound that is read",
                        "Dear Ffion, the lamp is lit.".getBytes(java.nio.charset.StandardCharsets.UTF_8),
                "is empty", new byte[0],
                "There is no sound in it", silence());
        for (Map.Entry<String, byte[]> one : bad.entrySet()) {
            HttpResponse<String> answer = send(at + "?name=010.wav", one.getValue());
            assertThat(answer.statusCode()).as(one.getKey()).isEqualTo(422);
            assertThat(Server.parse(answer).get("sentence").asString()).contains(one.getKey());
        }
        assertThat(sheet().path("takes")).isEmpty();
        String other = server.project("Another", "Somebody else's words.");
        assertThat(send(other + "/record/cues/" + cue, new byte[10]).statusCode())
                .isEqualTo(404);
        assertThat(server.get(other + "/record/cues/" + cue).statusCode()).isEqualTo(404);
    }

    private static byte[] silence() throws IOException {
        ByteArrayOutputStream silence = new ByteArrayOutputStream();
        WavWriter.write(new Sound(new float[3 * 48_000], 48_000), SampleFormat.PCM_16, null, silence);
        return silence.toByteArray();
    }

    @Test
    void aLongFileWithoutSoundSaysSo() throws IOException {
        script("KEEPER: " + LINE);
        String at = project + "/record/files";
        String file = at + "/"
                + Server.parse(send(at + "?name=all.wav", silence())).get("id").asString();
        Server.await(
                "the file to be looked through",
                () -> server.json(file).path("state").asString().equals("cut"));
        assertThat(server.json(file).path("problem").asString()).contains("There is no sound in it");
        assertThat(server.get(file + "/sound.wav?from=1&to=2").statusCode()).isEqualTo(200);
        assertThat(server.get(file + "/sound.wav?from=9&to=10").statusCode()).isEqualTo(422);
        assertThat(server.get(file + "/sound.wav?from=NaN&to=10").statusCode()).isEqualTo(422);
    }

    /** Music and talk of something else have no words of the script in them: that is told by doubts, not refused. */
    @Test
    void anotherTextIsAllInDoubt() {
        script("KEEPER: " + LINE);
        taken(PersonSaying.wav(0.4, 0.4, "The price of herring has gone up again this week in every harbour."));
        JsonNode take = sheet().path("takes").get(0);
        long doubts = 0;
        for (JsonNode doubt : take.path("doubts")) {
            doubts += doubt.asDouble() >= 0.5 ? 1 : 0;
        }
        assertThat(doubts + take.path("findings").size()).isGreaterThan(1);
    }

    @Test
    void aVoiceLikeThePersonIsAHouseVoiceOnceTheyHaveAgreed() {
        String words = "The crew have one tide to lift it out, and the sling is old. Each prism is cleaned with water, "
                + "wrapped in paper, and carried down the stairs by hand. Nobody speaks until it is down.";
        script("PERSON: " + words);
        String at = project + "/record/likeness";
        assertThat(server.get(at + "?role=Person").statusCode()).isEqualTo(422);
        assertThat(server.get(at + "?role=Person").body()).contains("10 s of speech and more");
        taken(PersonSaying.wav(0.4, 0.4, words));
        JsonNode found = server.json(at + "?role=Person");
        assertThat(found.path("candidates")).hasSize(3);
        JsonNode best = found.path("candidates").get(0);
        assertThat(best.path("base").asString()).as("who has said it").isEqualTo("otis");
        assertThat(best.path("left")).hasSize(4);
        Map<String, String> wanted = new java.util.HashMap<>(Map.of(
                "name", "Like the person " + System.nanoTime(),
                "base", "otis",
                "pace", best.path("pace").asString(),
                "semitones", best.path("semitones").asString(),
                "range", best.path("range").asString(),
                "timbre", best.path("timbre").asString()));
        HttpResponse<String> unasked = server.post(at, wanted);
        assertThat(unasked.statusCode()).isEqualTo(422);
        assertThat(unasked.body()).contains("consent");
        wanted.put("agreed", "true");
        assertThat(server.post(at, wanted).body()).contains("is saved as a house voice");
    }

    @Test
    void aCueThatIsSaidThreeTimesInOneFileIsThreeTakes() {
        script("KEEPER: " + LINE);
        taken(PersonSaying.wav(0.5, 1.2, LINE, LINE, LINE));
        assertThat(sheet().path("takes")).hasSize(3);
        assertThat(sheet().path("takes").get(0).path("kept").asBoolean()).isTrue();
    }

    @Test
    void aStretchThatIsNoneIsRefusedBeforeAnythingIsHeard() {
        byte[] sound = PersonSaying.wav(0.5, 0.5, LINE);
        assertThat(send("/drafts?name=letter.wav&from=two", sound).body())
                .contains("The start is written as minutes and seconds, like 6:00");
        HttpResponse<String> beyond = send("/drafts?name=letter.wav&from=5:00", sound);
        assertThat(beyond.statusCode()).isEqualTo(422);
        assertThat(beyond.body()).contains("There is nothing from the start to the end that you typed.");
    }

    /** By Debian's recogniser; every word that it wasn't sure of is something to look at, until it is written anew. */
    @Test
    void withoutAScriptTheWordsOfARecordingAreADraft() {
        HttpResponse<String> answer = send(
                "/drafts?name=letter.wav&project=Letter+of+1911&from=0:00&to=1:00",
                PersonSaying.clearly(
                        0.5,
                        1.2,
                        "The birch canoe slid on the smooth planks.",
                        "Rice is often served in round bowls."));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        project = Server.parse(answer).get("address").asString().replace("/record", "");
        Server.await("a draft", () -> server.json(project + "/record/files").isEmpty());
        assertThat(server.get(project + "/write").body()).contains("Letter of 1911");
        JsonNode cues = server.cues(project);
        assertThat(cues.size()).isGreaterThanOrEqualTo(2);
        assertThat(server.ready(project)).isEqualTo(cues.size());
        String words = cues.toString().toLowerCase(java.util.Locale.ROOT);
        assertThat(words).contains("rice");
        Integer doubtful = jdbc.queryForObject(
                "select coalesce(sum(cardinality(doubtful) / 2), 0) from heard_draft h join cue c on c.id "
                        + "= h.cue_id where c.project_id = ?::uuid",
                Integer.class,
                project.replace("/projects/", ""));
        long told = server.json(project + "/proof")
                .path("findings")
                .valueStream()
                .filter(finding -> finding.path("kind").asString().equals("DOUBTFUL_WORD"))
                .count();
        assertThat(told).isEqualTo(doubtful.longValue());
        server.save(project, "Something else is written here now.", 1);
        assertThat(server.json(project + "/proof").path("findings").toString()).doesNotContain("DOUBTFUL_WORD");
    }
}
