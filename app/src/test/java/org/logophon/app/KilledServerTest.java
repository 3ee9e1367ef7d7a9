package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** A server process of its own is killed in the middle of rendering 40 cues, and started again. */
class KilledServerTest {

    private static final int CUES = 40;

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

    @Test
    void allFortyAreFinishedAndNoneTwice() throws Exception {
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
        } finally {
            second.destroy();
            second.waitFor();
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
