package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/** The launcher's functions that start again what died, on processes that do nothing. */
@Execution(ExecutionMode.CONCURRENT)
class KeepRunningTest {

    private static final List<String> CHILDREN =
            List.of("database", "standin", "balancer", "application0", "application1");

    @TempDir
    private Path home;

    private Process launcher;

    @AfterEach
    void stop() throws Exception {
        if (launcher != null) {
            launcher.destroy();
            assertThat(launcher.waitFor()).isZero();
            // they are told to end, and take a moment
            Server.await(
                    "none of them is left",
                    () -> begun().values().stream()
                            .noneMatch(pid ->
                                    ProcessHandle.of(pid).filter(Launched::runs).isPresent()));
        }
    }

    private void launch() throws Exception {
        launcher = new ProcessBuilder(
                        "bash",
                        Path.of("src/test/resources/keep-running.sh")
                                .toAbsolutePath()
                                .toString(),
                        Path.of("..", "logophon").toAbsolutePath().toString(),
                        home.toString())
                .redirectErrorStream(true)
                .redirectOutput(home.resolve("said").toFile())
                .start();
        Server.await("all have begun", () -> begun().size() == CHILDREN.size());
    }

    /** The latest process of each. */
    private Map<String, Long> begun() {
        Map<String, Long> begun = new HashMap<>();
        try {
            Path file = home.resolve("begun");
            for (String line : Files.exists(file) ? Files.readAllLines(file) : List.<String>of()) {
                String[] parts = line.split(" ");
                if (parts.length == 2) {
                    begun.put(parts[0], Long.parseLong(parts[1]));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return begun;
    }

    @Test
    void whateverIsKilledTogetherComesAgainTwiceInARow() throws Exception {
        launch();
        for (int which = 1; which < 1 << CHILDREN.size(); which++) {
            List<String> killed = new ArrayList<>();
            for (int i = 0; i < CHILDREN.size(); i++) {
                if ((which >> i & 1) == 1) {
                    killed.add(CHILDREN.get(i));
                }
            }
            for (int time = 0; time < 2; time++) {
                Map<String, Long> before = begun();
                killed.forEach(one -> ProcessHandle.of(before.get(one)).ifPresent(ProcessHandle::destroyForcibly));
                Server.await(
                        killed + " come again",
                        () -> killed.stream().noneMatch(one -> begun().get(one).equals(before.get(one))));
                Map<String, Long> after = begun();
                assertThat(CHILDREN)
                        .as("the others stay when " + killed + " die")
                        .filteredOn(one -> !killed.contains(one))
                        .allSatisfy(one -> assertThat(after.get(one)).isEqualTo(before.get(one)));
            }
        }
    }

    @Test
    void whatIsKilledWhileTheDatabaseComesAgainIsNotForgotten() throws Exception {
        launch();
        Map<String, Long> before = begun();
        ProcessHandle.of(before.get("database")).orElseThrow().destroyForcibly();
        // while the launcher waits for the database, which takes a moment
        Server.await("the database's end was seen", () -> said().contains("The database ended by itself"));
        ProcessHandle.of(before.get("application0")).orElseThrow().destroyForcibly();
        Server.await(
                "the application comes again",
                () -> !begun().get("application0").equals(before.get("application0")));
        assertThat(begun().get("database")).isNotEqualTo(before.get("database"));
    }

    private String said() {
        return Launched.read(home.resolve("said"));
    }
}
