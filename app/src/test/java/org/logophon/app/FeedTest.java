package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.rometools.rome.feed.rss.Channel;
import com.rometools.rome.feed.rss.Item;
import com.rometools.rome.io.WireFeedInput;
import java.io.ByteArrayInputStream;
import java.io.StringReader;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** The feed of the house, read by a reader of RSS that isn't ours (ROME). */
class FeedTest extends ApplicationTest {

    @Autowired
    private JdbcTemplate jdbc;

    @TempDir
    Path folder;

    private String delivered(String project, String parts) {
        HttpResponse<String> asked = server.send(server.request(project + "/deliveries")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("X-XSRF-TOKEN", server.token())
                .POST(HttpRequest.BodyPublishers.ofString(
                        "asked=true&" + parts + "&rate=48000&bits=24&pattern=&target=-16")));
        Server.await("built", () -> !server.get(project + "/deliveries").body().contains("<progress"));
        assertThat(server.get(project + "/deliveries").body()).doesNotContain("state-problem");
        return jdbc.queryForObject(
                "select id::text from delivery where project_id = ?::uuid and state = 'ready' order by "
                        + "ordinal desc limit 1",
                String.class,
                project.replace("/projects/", ""));
    }

    private String opened(String title) {
        HttpResponse<String> made = server.post("/feed", Map.of("title", title, "description", "Lamps & <keepers>."));
        assertThat(made.statusCode()).as(made.body()).isEqualTo(200);
        return Server.parse(made).get("address").asString();
    }

    private Channel read(String address) throws Exception {
        return (Channel) new WireFeedInput(true, java.util.Locale.ROOT)
                .build(new StringReader(server.get(address).body()));
    }

    @Test
    @ResourceLock("feed")
    void aProgrammeIsInTheFeedWhileItsOwnerSaysSo() throws Exception {
        String project = server.project(
                "Lamps & <keepers> \u0007",
                "# Night\n\nWind north-west, force nine.\n\n# Morning\n\nNobody slept that night.");
        server.post(project + "/render", Map.of("step", "DELIVER"));
        Server.await("rendered", () -> server.ready(project) == 2);
        String without = delivered(project, "parts=captions&captions=srt");
        assertThat(server.post(project + "/deliveries/" + without + "/feed", Map.of("in", "true"))
                        .statusCode())
                .as("without the whole programme")
                .isEqualTo(422);
        jdbc.update("update feed set taken_back_at = now() where taken_back_at is null");
        String address = opened("The house & its lamps");
        String delivery = delivered(project, "parts=programme&format=mp3&title=true");
        String put = project + "/deliveries/" + delivery + "/feed";
        HttpResponse<String> taken = server.post(put, Map.of("in", "true"));
        assertThat(taken.statusCode()).as(taken.body()).isEqualTo(200);
        assertThat(server.post(put, Map.of("in", "true")).statusCode())
                .as("twice")
                .isEqualTo(200);
        assertThat(server.json(put).toString()).contains("\"in\":true");

        assertThat(server.get(address).headers().firstValue("Content-Type").orElse(""))
                .startsWith("application/rss+xml");
        Channel channel = read(address);
        assertThat(channel.getFeedType()).isEqualTo("rss_2.0");
        assertThat(channel.getTitle()).isEqualTo("The house & its lamps");
        assertThat(channel.getDescription()).isEqualTo("Lamps & <keepers>.");
        Item item = channel.getItems().stream()
                .filter(one -> one.getGuid().getValue().endsWith(delivery))
                .findFirst()
                .orElseThrow();
        assertThat(item.getTitle()).startsWith("Lamps & <keepers>");
        assertThat(item.getPubDate()).isNotNull();
        assertThat(item.getGuid().isPermaLink()).isFalse();
        assertThat(item.getEnclosures()).hasSize(1);
        String sound = item.getEnclosures().get(0).getUrl();
        byte[] all = server.bytes(sound);
        assertThat(item.getEnclosures().get(0).getType()).isEqualTo("audio/mpeg");
        assertThat(item.getEnclosures().get(0).getLength()).isEqualTo(all.length);
        Path file = folder.resolve("programme.mp3");
        Files.write(file, all);
        double runs = Double.parseDouble(
                said("ffprobe", "-v", "error", "-show_entries", "format=duration", "-of", "csv=p=0", file.toString()));
        double told = Double.parseDouble(server.get(address).body().replaceAll("(?s).*duration=\"(\\d+)\".*", "$1"));
        assertThat(told).isCloseTo(runs, within(0.6));

        HttpResponse<byte[]> part = java.net.http.HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(java.net.URI.create(sound))
                                .header("Range", "bytes=1000-1999")
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        assertThat(part.statusCode()).isEqualTo(206);
        assertThat(part.headers().firstValue("Content-Range").orElse("")).isEqualTo("bytes 1000-1999/" + all.length);
        assertThat(part.body()).isEqualTo(Arrays.copyOfRange(all, 1000, 2000));

        JsonNode chapters = server.json(address.replace("programmes.xml", delivery + "/chapters.json"));
        assertThat(chapters.get("version").asString()).isEqualTo("1.2.0");
        assertThat(chapters.get("chapters")).hasSize(2);
        assertThat(chapters.get("chapters").get(0).get("startTime").asDouble()).isZero();
        assertThat(chapters.get("chapters").get(1).get("title").asString()).isEqualTo("Morning");
        assertThat(chapters.get("chapters").get(1).get("startTime").asDouble())
                .as("after the spoken title and the first cue")
                .isBetween(3.0, runs);
        assertThat(ImageIO.read(new ByteArrayInputStream(
                                server.bytes(channel.getImage().getUrl())))
                        .getWidth())
                .isEqualTo(1400);

        server.post(put, Map.of("in", "false"));
        assertThat(server.get(address).body()).as("out at once").doesNotContain(delivery);
        assertThat(server.get(sound).statusCode()).isEqualTo(404);
        server.post(put, Map.of("in", "true"));
        server.post(project + "/delete", Map.of());
        assertThat(server.get(address).body()).as("with its project").doesNotContain(delivery);
        assertThat(server.get(sound).statusCode()).isEqualTo(404);
        server.post(project + "/restore", Map.of());
        assertThat(server.get(sound).statusCode()).isEqualTo(200);

        String newer = opened("Another address");
        assertThat(server.get(address).statusCode()).isEqualTo(404);
        assertThat(server.get(newer).statusCode()).isEqualTo(200);
        server.post("/feed/take-back", Map.of());
        assertThat(server.get(newer).statusCode()).isEqualTo(404);
        assertThat(server.get(sound).statusCode()).isEqualTo(404);
        assertThat(server.get("/feed").body()).contains("There is no feed yet").contains("Lamps &amp; &lt;keepers&gt;");
        assertThat(server.post("/feed", Map.of("title", " ")).statusCode()).isEqualTo(422);
    }

    private static String said(String... command) throws Exception {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        try (var in = process.getInputStream()) {
            return new String(in.readAllBytes()).strip();
        }
    }
}
