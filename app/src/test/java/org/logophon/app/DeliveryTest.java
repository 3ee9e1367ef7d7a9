package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;

/** Packages as they are built, kept and downloaded. */
class DeliveryTest extends ApplicationTest {

    private static final Duration PATIENCE = Duration.ofSeconds(180);

    private String rendered(String name, String script, long cues) {
        String project = server.project(name, script);
        server.post(project + "/render", Map.of("step", "DELIVER"));
        Server.await(cues + " cues ready", PATIENCE, () -> server.ready(project) == cues);
        return project;
    }

    private String build(String project, String pattern, String target) {
        server.post(project + "/deliveries", Map.of("pattern", pattern, "target", target));
        Server.await(
                "the package is built",
                PATIENCE,
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
    void aPackageHoldsClipsSheetAndCaptionsThatAgree() throws IOException {
        String project = rendered(
                "Agree", "# Scene\n\nThe first cue of two.\n\nThe second, which is a little longer than the first.", 2);
        Map<String, byte[]> files = zip(build(project, "{scene}/{number}", "-23"));
        assertThat(files.keySet()).containsExactly("Scene-010.wav", "Scene-020.wav", "cue-sheet.csv", "captions.srt");
        try (CSVParser sheet = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new java.io.StringReader(new String(files.get("cue-sheet.csv"), StandardCharsets.UTF_8)))) {
            double at = 0;
            for (CSVRecord row : sheet) {
                byte[] clip = files.get(row.get("file"));
                double seconds = (clip.length - 654) / 3.0 / 48_000;
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
        String page = server.get(project + "/deliver").body();
        assertThat(page)
                .contains("1 cue has no take and will be missing")
                .contains("1 cue has changed since its kept take");
        assertThat(zip(build(project, "{number}", "off")).keySet())
                .containsExactly("010.wav", "030.wav", "cue-sheet.csv", "captions.srt");
    }

    @Test
    void earlierDeliveriesStayAsTheyWere() throws IOException {
        String project = rendered("Earlier", "Words that will change.", 1);
        String first = build(project, "{number}_{slug}", "-19");
        server.save(project, "Words that have changed.", 1);
        server.post(project + "/render", Map.of("step", "DELIVER"));
        Server.await("ready again", PATIENCE, () -> server.ready(project) == 1);
        String second = build(project, "{number}_{slug}", "-19");
        assertThat(second).isNotEqualTo(first);
        assertThat(zip(first).keySet()).contains("010_words-that-will-change.wav");
        assertThat(zip(second).keySet()).contains("010_words-that-have-changed.wav");
        assertThat(server.get(project + "/deliveries").body()).contains("Delivery 1", "Delivery 2");
    }

    @Test
    void aDuplicateIsReadyWithoutARender() {
        String project = rendered("Twin", "The same words, the same sound.", 1);
        server.post(project + "/duplicate", Map.of());
        String shelf = server.get("/").body();
        String copy = shelf.replaceAll("(?s).*?href=\"(/projects/[^\"]+)/write\">Twin \\(copy\\).*", "$1");
        copy = copy.substring(copy.lastIndexOf("/projects/"));
        assertThat(server.ready(copy)).isEqualTo(1);
        assertThat(server.get(server.cues(copy).get(0).get("sound").asString()).statusCode())
                .isEqualTo(200);
    }
}
