package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * A server process of its own is killed while it renders many cues, again while it delivers them, and started again.
 */
@Execution(ExecutionMode.CONCURRENT)
class KilledServerTest {

    private static final int CUES = 10;
    private static final Map<String, String> DELIVERY =
            Map.of("asked", "true", "parts", "clips", "format", "flac", "pattern", "{number}", "target", "-19");

    @TempDir
    private Path folder;

    private static int stored(String database) {
        return ServerProcess.database(database).queryForObject("select count(*) from delivered_content", Integer.class);
    }

    /** It went on by itself, and every file of it is whole. */
    private static void delivered(Server server, String project) throws Exception {
        Server.await(
                "it is built after all",
                () -> server.get(project + "/deliveries").body().contains("/file\""));
        String address = server.get(project + "/deliveries").body().replaceAll("(?s).*?href=\"([^\"]+/file)\".*", "$1");
        Map<String, byte[]> files = new HashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(server.bytes(address)))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), zip.readAllBytes());
            }
        }
        var manifest = Server.parsed(new String(files.get("delivery.json"), StandardCharsets.UTF_8));
        int clips = 0;
        for (var file : manifest.get("files")) {
            byte[] content = files.get(file.get("path").asString());
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(content);
            assertThat(HexFormat.of().formatHex(digest))
                    .isEqualTo(file.get("sha256").asString());
            clips += file.get("cue").asString().isEmpty() ? 0 : 1;
        }
        assertThat(clips).isEqualTo(CUES);
    }

    @Test
    void allAreFinishedAndNoneTwiceAndADeliveryGoesOn() throws Exception {
        String name = ServerProcess.newDatabase("killed");
        ServerProcess first = ServerProcess.start(name, folder.resolve("first.log"));
        String project;
        long before;
        try {
            Server server = first.meet();
            StringBuilder script = new StringBuilder();
            for (int i = 0; i < CUES; i++) {
                script.append("On night ")
                        .append(i)
                        .append(" ")
                        .append("the wind went round to the north-west and the lamp was lit at four.")
                        .append("\n\n");
            }
            project = server.project("Killed", script.toString());
            server.post(project + "/render", Map.of("step", "DIRECT"));
            Server.await("some cues are done", () -> server.ready(project) >= 2);
            before = server.ready(project);
        } finally {
            first.kill();
        }
        assertThat(before).isLessThan(CUES);
        ServerProcess second = ServerProcess.start(name, folder.resolve("second.log"));
        try {
            Server again = second.meet();
            Server.await("all cues are done", () -> again.ready(project) == CUES);
            again.post(project + "/deliveries", DELIVERY);
            int some = new Random(1).nextInt(CUES);
            Server.await("it is being built", () -> stored(name) > some);
        } finally {
            second.kill();
        }
        ServerProcess third = ServerProcess.start(name, folder.resolve("third.log"));
        try {
            delivered(third.meet(), project);
        } finally {
            third.close();
        }
        JdbcTemplate table = ServerProcess.database(name);
        assertThat(table.queryForObject("select count(*) from take", Integer.class))
                .isEqualTo(CUES);
        assertThat(table.queryForObject("select count(*) from speech", Integer.class))
                .isEqualTo(CUES);
        assertThat(table.queryForObject("select count(*) from batch_cue where state = 'done'", Integer.class))
                .isEqualTo(CUES);
        assertThat(table.queryForList("select task_instance from scheduled_tasks where task_instance <> 'recurring'"))
                .isEqualTo(List.of());
    }
}
