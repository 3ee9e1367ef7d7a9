package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The command at the root: what it says when it can't start. */
class CommandTest {

    @TempDir
    private Path folder;

    private record Run(int status, String printed) {}

    private static Run run(Map<String, String> settings, String... arguments) throws Exception {
        List<String> line =
                new java.util.ArrayList<>(List.of(Path.of("..", "logophon").toString()));
        line.addAll(List.of(arguments));
        ProcessBuilder builder = new ProcessBuilder(line).redirectErrorStream(true);
        builder.environment().putAll(settings);
        Process process = builder.start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Run(process.waitFor(), printed);
    }

    @Test
    void aTakenPortIsOneSentence() throws Exception {
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getByName("127.0.0.1"))) {
            Run run = run(Map.of("LOGOPHON_PORT", Integer.toString(taken.getLocalPort())), "start");
            assertThat(run.status()).isEqualTo(1);
            assertThat(run.printed().strip().lines()).hasSize(1);
            assertThat(run.printed()).contains("Port " + taken.getLocalPort() + " is taken", "LOGOPHON_PORT");
        }
    }

    @Test
    void aPortThatIsNoneIsOneSentence() throws Exception {
        for (String port : List.of("many", "0", "70000", "80; rm -rf x")) {
            Run run = run(Map.of("LOGOPHON_PORT", port), "start");
            assertThat(run.status()).isEqualTo(1);
            assertThat(run.printed()).contains("it must be a number from 1 to 65535");
        }
    }

    @Test
    void aDataFolderThatIsBrokenOrCannotBeMadeIsOneSentence() throws Exception {
        Files.createDirectories(folder.resolve("broken/postgres"));
        Run broken = run(
                Map.of(
                        "LOGOPHON_PORT",
                        "18490",
                        "LOGOPHON_DATA",
                        folder.resolve("broken").toString()),
                "start");
        assertThat(broken.status()).isEqualTo(1);
        assertThat(broken.printed()).contains("is broken", "LOGOPHON_DATA");
        Path file = Files.writeString(folder.resolve("file"), "no folder");
        Run unmade = run(
                Map.of(
                        "LOGOPHON_PORT",
                        "18490",
                        "LOGOPHON_DATA",
                        file.resolve("data").toString()),
                "start");
        assertThat(unmade.status()).isEqualTo(1);
        assertThat(unmade.printed()).contains("can't be made", "LOGOPHON_DATA");
    }

    @Test
    void anUnknownCommandShowsTheKnownOnes() throws Exception {
        Run run = run(Map.of(), "sing");
        assertThat(run.status()).isEqualTo(2);
        assertThat(run.printed()).contains("./logophon demo", "\"sing\" is no command");
    }
}
