package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import tools.jackson.databind.JsonNode;

/** Packages as they are built, kept and downloaded. */
@Execution(ExecutionMode.CONCURRENT)
class DeliveryTest extends ApplicationTest {

    private String rendered(String name, String script, long cues) {
        String project = server.project(name, script);
        server.post(project + "/render", Map.of("step", "DELIVER"));
        Server.await(cues + " cues ready", () -> server.ready(project) == cues);
        return project;
    }

    private String build(String project, String pattern, String target) {
        server.post(project + "/deliveries", Map.of("pattern", pattern, "target", target));
        Server.await(
                "the package is built",
                () -> !server.get(project + "/deliveries").body().contains("<progress"));
        return server.get(project + "/deliveries").body().replaceAll("(?s).*?href=\"([^\"]+/file)\".*", "$1");
    }

    private Map<String, byte[]> zip(String address) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(server.bytes(address)))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), zip.readAllBytes());
            }
        }
        return files;
    }

    @Test
    void aPackageHoldsClipsSheetAndCaptionsThatAgree() throws IOException, UnsupportedAudioFileException {
        String project = rendered(
                "Agree", "# Scene\n\nThe first cue of two.\n\nThe second, which is a little longer than the first.", 2);
        Map<String, byte[]> files = zip(build(project, "{scene}/{number}", "-23"));
        assertThat(files.keySet())
                .containsExactly(
                        "Scene/010.wav",
                        "Scene/020.wav",
                        "captions.srt",
                        "captions.vtt",
                        "timeline.edl",
                        "timeline.otio",
                        "markers.csv",
                        "cue-sheet.csv",
                        "cue-sheet.json",
                        "cue-sheet.html",
                        "delivery.json");
        try (CSVParser sheet = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new java.io.StringReader(new String(files.get("cue-sheet.csv"), StandardCharsets.UTF_8)))) {
            double at = 0;
            for (CSVRecord row : sheet) {
                byte[] clip = files.get(row.get("file"));
                double seconds = AudioSystem.getAudioInputStream(new ByteArrayInputStream(clip))
                                .getFrameLength()
                        / 48_000.0;
                assertThat(Double.parseDouble(row.get("duration_s")))
                        .isCloseTo(seconds, org.assertj.core.api.Assertions.within(0.001));
                assertThat(Double.parseDouble(row.get("start_s")))
                        .isCloseTo(at, org.assertj.core.api.Assertions.within(0.002));
                assertThat(row.get("loudness_lufs")).startsWith("-23.0");
                at += seconds + 0.4;
            }
        }
        assertThat(new String(files.get("captions.srt"), StandardCharsets.UTF_8))
                .startsWith("1\r\n00:00:00,0")
                .contains("The first cue of two.");
    }

    @Test
    void missingAndChangedCuesAreNamedAndTheKeptTakesArePacked() throws IOException {
        String project = rendered("Named", "The first cue.\n\n***\n\nThe third cue.", 2);
        String third = server.cues(project).get(2).get("id").asString();
        server.post(project + "/cues/" + third + "/direction", Map.of("pace", "80", "version", "0"));
        String page = server.get(project + "/deliver/left-out").body();
        assertThat(page)
                .contains("1 cue has no take and will be missing")
                .contains("1 cue has changed since its kept take");
        assertThat(zip(build(project, "{number}", "off")).keySet())
                .contains("010.wav", "030.wav", "cue-sheet.csv", "captions.srt")
                .doesNotContain("020.wav");
    }

    @Test
    void earlierDeliveriesStayAsTheyWere() throws IOException {
        String project = rendered("Earlier", "Words that will change.", 1);
        String first = build(project, "{number}_{slug}", "-19");
        server.save(project, "Words that have changed.", 1);
        server.post(project + "/render", Map.of("step", "DELIVER"));
        Server.await("ready again", () -> server.ready(project) == 1);
        String second = build(project, "{number}_{slug}", "-19");
        assertThat(second).isNotEqualTo(first);
        assertThat(zip(first).keySet()).contains("010_words-that-will-change.wav");
        assertThat(zip(second).keySet()).contains("010_words-that-have-changed.wav");
        assertThat(server.get(project + "/deliveries").body()).contains("Delivery 1", "Delivery 2");
    }

    private JsonNode manifest(byte[] file) {
        return Server.parsed(new String(file, StandardCharsets.UTF_8)).get("files");
    }

    private List<String> told(JsonNode manifest, String cueOrPath) {
        List<String> told = new ArrayList<>();
        manifest.forEach(file -> {
            if (cueOrPath.equals(file.get("cue").asString())
                    || cueOrPath.equals(file.get("path").asString())) {
                told.add((file.get("change").asString() + " " + file.get("why").asString()).strip());
            }
        });
        return told;
    }

    @Test
    void theSecondDeliveryHoldsWhatChangedAloneAndTheFirstStaysByteForByte() throws IOException {
        String project = rendered("Second", "The first cue.\n\nThe second cue.\n\nThe third cue.", 3);
        String first = build(project, "{number}", "-19");
        byte[] before = server.bytes(first);
        server.save(project, "The first cue.\n\nThe second, longer cue.\n\nThe third cue.", 1);
        server.post(project + "/render", Map.of("step", "DELIVER"));
        Server.await("ready again", () -> server.ready(project) == 3);
        // told before it is built
        String holds = server.get(project
                        + "/deliver/contents?pattern={number}&target=-19"
                                .replace("{", "%7B")
                                .replace("}", "%7D"))
                .body();
        assertThat(holds).contains("against delivery 1", "changed: words", "as before", "moved");
        String second = build(project, "{number}", "-19");
        Map<String, byte[]> all = zip(second);
        JsonNode manifest = manifest(all.get("delivery.json"));
        assertThat(told(manifest, "010")).containsExactly("same");
        assertThat(told(manifest, "020")).containsExactly("changed words");
        assertThat(told(manifest, "030")).containsExactly("moved");
        assertThat(all).containsKeys("010.wav", "020.wav", "030.wav");
        Map<String, byte[]> changes = zip(second.replace("/file", "/changes"));
        assertThat(changes.keySet().stream().filter(name -> name.endsWith(".wav")))
                .containsExactly("020.wav");
        assertThat(changes).containsKeys("timeline.edl", "cue-sheet.csv", "delivery.json");
        assertThat(all.get("010.wav")).isEqualTo(zip(first).get("010.wav"));
        assertThat(server.bytes(first)).as("downloaded again").isEqualTo(before);
        // looked into, compared, and a single file of it
        String look = second.replace("/file", "/contents");
        assertThat(server.get(look).body()).contains("changed: words").contains("delivery 1");
        assertThat(server.get(look + "?since=7").statusCode()).isEqualTo(404);
        assertThat(server.bytes(second.replace("/file", "/files/0"))).isEqualTo(all.get("010.wav"));
        assertThat(server.get(second.replace("/file", "/files/99")).statusCode())
                .isEqualTo(404);
        // loudness changes every clip
        Map<String, byte[]> louder = zip(build(project, "{number}", "-16"));
        assertThat(told(manifest(louder.get("delivery.json")), "010")).containsExactly("changed loudness");
    }

    @Test
    void everyPartCanBeChosenAndTheChoiceStays() throws IOException {
        String project = rendered("Parts", "# One\n\nThe first cue.\n\n# Two\n\nThe second cue.", 2);
        String form = "asked=true&parts=programme&parts=captions&parts=words&parts=script&captions=ttml&captions=words"
                + "&format=mp3&rate=48000&bits=24&minutes=5&title=true&pattern=&target=-16";
        server.send(server.request(project + "/deliveries")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("X-XSRF-TOKEN", server.token())
                .POST(java.net.http.HttpRequest.BodyPublishers.ofString(form)));
        Server.await("built", () -> server.get(project + "/deliveries").body().contains("/file"));
        String address = server.get(project + "/deliveries").body().replaceAll("(?s).*?href=\"([^\"]+/file)\".*", "$1");
        Map<String, byte[]> files = zip(address);
        assertThat(files.keySet())
                .containsExactly(
                        "programme.mp3",
                        "captions.ttml",
                        "captions-words.vtt",
                        "words.json",
                        "script.txt",
                        "script.ssml",
                        "delivery.json");
        assertThat(new String(files.get("script.txt"), StandardCharsets.UTF_8))
                .startsWith("# One\n\nNARRATOR: The first cue.");
        assertThat(server.get(project + "/deliver").body())
                .containsPattern("value=\"programme\"[^>]*checked")
                .doesNotContainPattern("value=\"clips\"[^>]*checked");
        assertThat(server.post(project + "/deliveries", Map.of("asked", "true", "pattern", "", "target", "-19"))
                        .body())
                .contains("Choose at least one part.");
        assertThat(server.post(
                                project + "/deliveries",
                                Map.of("asked", "true", "parts", "sausages", "pattern", "", "target", "-19"))
                        .body())
                .contains("has no part");
        assertThat(server.post(
                                project + "/deliveries",
                                Map.of(
                                        "asked", "true", "parts", "clips", "format", "mp3", "rate", "96000", "pattern",
                                        "", "target", "-19"))
                        .body())
                .contains("MP3 has 48000 samples a second at most");
    }

    @Test
    void aCancelledBuildIsGoneAtOnceAndTheNextOneIsWhole() throws IOException {
        String project = rendered("Stopped", "The lamp was lit at four, and nobody slept.\n\n".repeat(16), 16);
        Map<String, String> wish =
                Map.of("asked", "true", "parts", "clips", "format", "mp3", "pattern", "{number}", "target", "-19");
        server.post(project + "/deliveries", wish);
        assertThat(server.post(project + "/deliveries", wish).body()).contains("is being built already");
        String stopped = server.post(project + "/deliveries/cancel", Map.of()).body();
        assertThat(stopped).contains("cancelled").doesNotContain("<progress").doesNotContain("/file\"");
        assertThat(zip(build(project, "{number}", "-19")).keySet()).hasSize(17);
        assertThat(server.get(project + "/deliveries").body()).containsOnlyOnce("/file\"");
    }

    @Test
    void aDuplicateIsReadyWithoutARender() {
        String project = rendered("Twin", "The same words, the same sound.", 1);
        server.post(project + "/duplicate", Map.of());
        String copy = server.named("Twin (copy)");
        assertThat(server.ready(copy)).isEqualTo(1);
        assertThat(server.get(server.cues(copy).get(0).get("sound").asString()).statusCode())
                .isEqualTo(200);
    }
}
