package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.loudness.TruePeak;
import org.logophon.core.signal.sound.Decibels;
import tools.jackson.databind.JsonNode;

/** Sounds and beds: their lists, what lies under a programme, and what is delivered of it. */
@Execution(ExecutionMode.CONCURRENT)
@RealSpeech
class BedsTest extends ApplicationTest {

    private static final int RATE = 48_000;

    private String rendered(String name, String script, int cues) {
        String project = server.project(name, script);
        render(project, cues);
        return project;
    }

    private void render(String project, int cues) {
        server.post(project + "/render", Map.of("step", "DELIVER"));
        Server.await(cues + " cues ready", () -> server.ready(project) == cues);
    }

    private JsonNode table(String project) {
        return server.json(project + "/beds/list");
    }

    private JsonNode sound(String project, String name) {
        for (JsonNode sound : table(project).get("sounds")) {
            if (sound.get("name").asString().equals(name)) {
                return sound;
            }
        }
        throw new AssertionError("no sound " + name);
    }

    private String id(String project, String name) {
        return sound(project, name).get("id").asString();
    }

    private String lay(String project, Map<String, String> asked) {
        HttpResponse<String> answer = server.post(project + "/beds", asked);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Server.parse(answer).get("id").asString();
    }

    private HttpResponse<String> bring(String project, String name, byte[] file) {
        server.get(project + "/beds");
        return server.send(server.request(project + "/beds/sounds?name=" + name)
                .header("Content-Type", "application/octet-stream")
                .header("X-XSRF-TOKEN", server.token())
                .POST(HttpRequest.BodyPublishers.ofByteArray(file)));
    }

    private void after(String project, int cue, String value) {
        JsonNode found = server.cues(project).get(cue);
        String address = project + "/cues/" + found.get("id").asString() + "/marks";
        JsonNode words = server.json(address).get("words");
        JsonNode last = words.get(words.size() - 1);
        HttpResponse<String> set = server.post(
                address,
                Map.of(
                        "start",
                        last.get(0).asString(),
                        "end",
                        last.get(1).asString(),
                        "kind",
                        "sound",
                        "value",
                        value));
        assertThat(set.statusCode()).as(set.body()).isEqualTo(200);
    }

    private Map<String, byte[]> delivered(String project, String form) throws IOException {
        HttpResponse<String> asked =
                server.ask(project + "/deliveries?pattern={number}&target=-19&asked=true&format=wav"
                        + "&rate=48000&bits=24&minutes=10" + form);
        assertThat(asked.statusCode()).isEqualTo(200);
        Server.await(
                "the package is built",
                () -> !server.get(project + "/deliveries").body().contains("<progress"));
        String address = server.get(project + "/deliveries").body().replaceAll("(?s).*?href=\"([^\"]+/file)\".*", "$1");
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(server.bytes(address)))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), zip.readAllBytes());
            }
        }
        return files;
    }

    /** Of a WAV file, by the platform's own reader. */
    private static float[] samples(byte[] file) throws IOException {
        try (AudioInputStream in = AudioSystem.getAudioInputStream(new ByteArrayInputStream(file))) {
            int bytes = in.getFormat().getSampleSizeInBits() / 8;
            byte[] all = in.readAllBytes();
            float[] samples = new float[all.length / bytes];
            for (int i = 0; i < samples.length; i++) {
                int value = all[bytes * i + bytes - 1];
                for (int b = bytes - 2; b >= 0; b--) {
                    value = value << 8 | all[bytes * i + b] & 0xff;
                }
                samples[i] = value / (float) (1 << 8 * bytes - 1);
            }
            return samples;
        } catch (UnsupportedAudioFileException e) {
            throw new IOException(e);
        }
    }

    private static double lufs(float[] samples, int from, int to) {
        LoudnessMeter meter = new LoudnessMeter(RATE, 1);
        meter.add(java.util.Arrays.copyOfRange(samples, from, to), to - from);
        return meter.loudness().lufs();
    }

    @Test
    void theWholeIsClipsAndWhatLiesUnderThemAndTheVoiceIsAsFarOverItAsAsked() throws IOException {
        String project = rendered(
                "Under",
                "The wind comes in from the west, and nobody is out on the headland tonight.\n\n"
                        + "The lamp turns, and turns again, over the dark water and the rocks below.",
                2);
        after(project, 0, "2000 -12 Bell");
        lay(project, Map.of("sound", id(project, "Room tone"), "level", "-18", "rise", "6"));
        assertThat(server.ready(project))
                .as("a sound after the last word renders nothing anew")
                .isEqualTo(2);

        Map<String, byte[]> files = delivered(project, "&parts=clips&parts=programme&parts=bed&parts=timeline");
        float[] first = samples(files.get("010.wav"));
        float[] second = samples(files.get("020.wav"));
        float[] bed = samples(files.get("bed.wav"));
        float[] whole = samples(files.get("programme.wav"));
        int start = first.length + 2 * RATE;
        assertThat(whole.length).as("the gap is as long as its sound").isEqualTo(start + second.length);
        assertThat(bed).hasSameSizeAs(whole);
        for (int i = 0; i < whole.length; i += 11) {
            float voice = i < first.length ? first[i] : i >= start ? second[i - start] : 0;
            assertThat(whole[i]).isCloseTo(voice + bed[i], within(3e-7f));
        }
        // ITU-R BS.1770-5, over the words of the second cue: nothing comes or goes there
        int to = Math.min(second.length, 3 * RATE);
        assertThat(lufs(second, 0, to) - lufs(bed, start, start + to)).isCloseTo(18, within(1.5));
        assertThat(-19 - lufs(bed, start, start + to)).isCloseTo(18, within(1.0));
        assertThat(lufs(bed, first.length, first.length + RATE))
                .as("a bell in the gap")
                .isGreaterThan(-33);
        assertThat(Decibels.ofFactor(TruePeak.of(whole))).isLessThanOrEqualTo(-0.99);
        String otio = new String(files.get("timeline.otio"), StandardCharsets.UTF_8);
        assertThat(otio).contains("\"Sounds and beds\"", "\"target_url\" : \"bed.wav\"");
        assertThat(new String(files.get("bed.edl"), StandardCharsets.UTF_8))
                .contains("* FROM CLIP NAME: bed.wav")
                .contains("00:00:00:00");

        Map<String, byte[]> inside = delivered(project, "&parts=clips&parts=programme&inClips=true");
        float[] under = samples(inside.get("020.wav"));
        float[] again = samples(inside.get("programme.wav"));
        assertThat(again).as("the whole is the same").isEqualTo(whole);
        for (int i = 0; i < under.length; i += 11) {
            assertThat(under[i]).isCloseTo(again[start + i], within(3e-7f));
        }
        assertThat(new String(inside.get("delivery.json"), StandardCharsets.UTF_8))
                .contains("\"changed\"", "\"bed\"");
    }

    @Test
    void aListKeepsWhatIsBroughtInAndUsedWhereItMayBe() {
        String project = server.project("Lists", "One cue.");
        String other = server.project("Other lists", "One cue.");
        assertThat(Server.parse(bring(project, "creak.wav", ToneFile.of(2, 0.3)))
                        .get("name")
                        .asString())
                .isEqualTo("creak");
        assertThat(Server.parse(bring(project, "creak.wav", ToneFile.of(1, 0.3)))
                        .get("name")
                        .asString())
                .isEqualTo("creak 2");
        assertThat(bring(project, "nothing.wav", new byte[0]).body()).contains("nothing.wav is empty");
        assertThat(bring(project, "silent.wav", ToneFile.of(1, 0)).body()).contains("is silent");
        HttpResponse<String> none = bring(project, "letter.txt", "Dear keeper".getBytes(StandardCharsets.UTF_8));
        assertThat(none.statusCode()).isEqualTo(422);
        assertThat(none.body()).contains("letter.txt can");

        String creak = id(project, "creak");
        String address = project + "/beds/sounds/" + creak;
        assertThat(server.post(
                                address,
                                Map.of("licence", "recorded by ourselves", "from", "0.5", "to", "1.25", "ownDb", "3"))
                        .statusCode())
                .isEqualTo(200);
        assertThat(sound(project, "creak").get("to").asDouble()).isEqualTo(1.25);
        assertThat(server.bytes(sound(project, "creak").get("heard").asString()))
                .hasSize(44 + 2 * 36_000);
        assertThat(server.post(address, Map.of("from", "1.25")).body()).contains("which lasts 2.00 s");
        assertThat(server.post(address, Map.of("ownDb", "90")).body()).contains("24 dB louder or quieter");
        assertThat(server.post(address, Map.of("name", "BELL")).body()).contains("There is a sound “BELL” already");

        assertThat(server.get(other + "/beds/list").body()).doesNotContain("creak");
        assertThat(server.post(other + "/beds/sounds/" + creak, Map.of("name", "mine"))
                        .statusCode())
                .isEqualTo(404);
        server.post(address, Map.of("shared", "true"));
        assertThat(server.get(other + "/beds/list").body()).contains("creak");
        after(project, 0, "500 -12 creak");
        assertThat(server.post(address, Map.of("name", "crack")).body()).contains("stands in 1 gap by this name");
        assertThat(server.post(address + "/delete", Map.of()).body()).contains("is used in 1 place");
        String second = project + "/beds/sounds/" + id(project, "creak 2");
        assertThat(server.post(second + "/delete", Map.of()).statusCode()).isEqualTo(200);
        assertThat(server.get(project + "/beds/list").body()).doesNotContain("creak 2");
        assertThat(server.post(second + "/restore", Map.of()).statusCode()).isEqualTo(200);
        assertThat(server.get(project + "/beds/list").body()).contains("creak 2");
        assertThat(server.post(project + "/beds/sounds/" + id(project, "Bell"), Map.of("name", "Gong"))
                        .body())
                .contains("is built in");
    }

    @Test
    void aBedIsWhereItIsAskedToBeAndSaysWhatIsWrong() {
        String project = server.project("Beds", "The first cue.\n\nThe second cue.\n\nThe third cue.");
        assertThat(server.json(project + "/layer").get("address").isNull()).isTrue();
        String wind = id(project, "Wind");
        String bed = lay(project, Map.of("sound", wind, "from", "020", "to", "020"));
        String address = project + "/beds/" + bed;
        JsonNode line = table(project).get("beds").get(0);
        JsonNode cue = server.cues(project).get(1);
        assertThat(line.get("start").asDouble()).isCloseTo(cue.get("start").asDouble(), within(0.001));
        assertThat(line.get("end").asDouble() - line.get("start").asDouble())
                .isCloseTo(cue.get("seconds").asDouble(), within(0.001));

        String before = server.json(project + "/layer").get("address").asString();
        server.post(address, Map.of("level", "-24"));
        String now = server.json(project + "/layer").get("address").asString();
        assertThat(now).isNotEqualTo(before);
        HttpResponse<String> part = server.send(server.request(now).header("Range", "bytes=0-99"));
        assertThat(part.statusCode()).isEqualTo(206);
        assertThat(part.headers().firstValue("Content-Length")).contains("100");

        for (String[] wrong : new String[][] {
            {"level", "-61", "goes from -60 to 6 dB"},
            {"level", "NaN", "goes from -60 to 6 dB"},
            {"rise", "31", "0 to 30 dB louder"},
            {"fadeIn", "-1", "comes in 0 to 60 seconds"},
            {"from", "999", "There is no cue 999"},
            {"to", "010", "ends with the cue that it begins with, or with a later one"},
            {"sound", UUID.randomUUID().toString(), "no longer in the lists"}
        }) {
            HttpResponse<String> refused = server.post(address, Map.of(wrong[0], wrong[1]));
            assertThat(refused.statusCode()).as(wrong[0] + " " + wrong[1]).isIn(404, 422);
            assertThat(refused.body()).contains(wrong[2]);
        }
        String other = server.project("Other beds", "One cue.");
        assertThat(server.post(other + "/beds/" + bed, Map.of("level", "-30")).statusCode())
                .isEqualTo(404);

        // the cue that it hangs on leaves the script
        server.save(project, "The first cue.\n\nThe third cue.", 1);
        assertThat(table(project).get("beds").get(0).get("problem").asString()).contains("was removed from the script");
        assertThat(server.json(project + "/layer").get("address").isNull()).isTrue();
        server.post(address, Map.of("from", "", "to", ""));
        assertThat(server.json(project + "/layer").get("address").isNull()).isFalse();
        server.post(address + "/delete", Map.of());
        assertThat(server.json(project + "/layer").get("address").isNull()).isTrue();
        server.post(address + "/restore", Map.of());
        assertThat(table(project).get("beds")).hasSize(1);
    }

    @Test
    void aCopyAndAVersionHaveTheSameUnderThem() {
        String project = server.project("Taken along", "The first cue.\n\nThe second cue.");
        bring(project, "hinge.wav", ToneFile.of(2, 0.3));
        lay(project, Map.of("sound", id(project, "hinge"), "from", "020", "to", "020", "level", "-20"));
        server.post(project + "/duplicate", Map.of());
        String copy = server.named("Taken along (copy)");
        assertThat(table(copy).get("beds").get(0).get("from").asString()).isEqualTo("020");
        assertThat(table(copy).get("beds").get(0).get("name").asString()).isEqualTo("hinge");
        assertThat(id(copy, "hinge")).isNotEqualTo(id(project, "hinge"));
        JsonNode made = Server.parse(server.post(project + "/languages", Map.of("language", "de")));
        String version = made.get("address").asString().replaceAll("(/projects/[^/]+).*", "$1");
        assertThat(table(version).get("beds").get(0).get("from").asString()).isEqualTo("020");
        assertThat(table(version).get("beds").get(0).get("problem").asString()).isEmpty();
    }
}
