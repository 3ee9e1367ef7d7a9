package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.time.Duration;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** A server process of its own is killed while it renders 40 cues, again while it delivers them, and started again. */
class KilledServerTest {

    private static final int CUES = 40;
    private static final Map<String, String> DELIVERY =
            Map.of("asked", "true", "parts", "clips", "format", "flac", "pattern", "{number}", "target", "-19");

    @TempDir
    private Path folder;

    private static DriverManagerDataSource database(String name) {
        return new DriverManagerDataSource(
                System.getenv("LOGOPHON_DATABASE_URL").replaceAll("/[^/]*$", "/" + name),
                System.getenv("LOGOPHON_DATABASE_USER"),
                System.getenv("LOGOPHON_DATABASE_PASSWORD"));
    }

    private Process start(String database, Path log) throws Exception {
        ProcessBuilder builder = new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Application.class.getName(),
                "--server.port=0",
                "--logophon.workers=1",
                "--logophon.measure-voices=false");
        builder.environment().put("LOGOPHON_DATABASE_URL", database(database).getUrl());
        return builder.redirectErrorStream(true).redirectOutput(log.toFile()).start();
    }

    private static Server meet(Path log) throws Exception {
        Server.await(
                "the server is ready", Duration.ofSeconds(180), () -> read(log).contains("is ready at"));
        return new Server(read(log).replaceAll("(?s).*ready at (http://localhost:\\d+).*", "$1"));
    }

    private static String read(Path log) {
        try {
            return Files.readString(log);
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static int stored(String database) {
        return new JdbcTemplate(database(database))
                .queryForObject("select count(*) from delivered_content", Integer.class);
    }

    /** It went on by itself, and every file of it is whole. */
    private static void delivered(Server server, String project) throws Exception {
        Server.await(
                "it is built after all",
                Duration.ofSeconds(240),
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
    void allFortyAreFinishedAndNoneTwiceAndADeliveryGoesOn() throws Exception {
        String name = "killed_" + UUID.randomUUID().toString().substring(0, 8);
        new JdbcTemplate(database("postgres")).execute("create database " + name);
        Process first = start(name, folder.resolve("first.log"));
        String project;
        long before;
        try {
            Server server = meet(folder.resolve("first.log"));
            StringBuilder script = new StringBuilder();
            for (int i = 0; i < CUES; i++) {
                script.append("On night ")
                        .append(i)
                        .append(" ")
                        .append("the wind went round to the north-west and the lamp was lit at four. ".repeat(6))
                        .append("\n\n");
            }
            project = server.project("Killed", script.toString());
            server.post(project + "/render", Map.of("step", "DIRECT"));
            Server.await("some cues are done", Duration.ofSeconds(180), () -> server.ready(project) >= 3);
            before = server.ready(project);
        } finally {
            first.destroyForcibly().waitFor();
        }
        assertThat(before).isLessThan(CUES);
        Process second = start(name, folder.resolve("second.log"));
        try {
            Server again = meet(folder.resolve("second.log"));
            Server.await("all cues are done", Duration.ofSeconds(240), () -> again.ready(project) == CUES);
            again.post(project + "/deliveries", DELIVERY);
            int some = new Random().nextInt(CUES);
            Server.await("it is being built", Duration.ofSeconds(60), () -> stored(name) > some);
        } finally {
            second.destroyForcibly().waitFor();
        }
        Process third = start(name, folder.resolve("third.log"));
        try {
            delivered(meet(folder.resolve("third.log")), project);
        } finally {
            third.destroy();
            third.waitFor();
        }
        JdbcTemplate table = new JdbcTemplate(database(name));
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
