package org.logophon.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;

/**
 * The script that people type, on the classes that are tested, with a data folder of its own; all that it starts ends
 * with the test.
 */
abstract class Launched {

    final Path home = folder();
    final Path root = QuickStart.get().root();
    final Path data = home.resolve("data");
    final List<Process> started = new ArrayList<>();

    /** One that the database's user may enter, which the temporary folders of tests are not. */
    static Path folder() {
        try {
            Path made = Files.createTempDirectory("logophon-launcher");
            made.toFile().setExecutable(true, false);
            made.toFile().setReadable(true, false);
            return made;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static int freePort() throws IOException {
        try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getByName("127.0.0.1"))) {
            return free.getLocalPort();
        }
    }

    Process launch(int port, Path log, Map<String, String> settings) throws IOException {
        return run(port, log, settings, "start");
    }

    Process run(int port, Path log, Map<String, String> settings, String... words) throws IOException {
        return begin(root.resolve("logophon"), port, log, settings, words);
    }

    /** Another copy of the script, on the same data folder. */
    Process begin(Path script, int port, Path log, Map<String, String> settings, String... words) throws IOException {
        List<String> command = new ArrayList<>(List.of(script.toString()));
        command.addAll(List.of(words));
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().keySet().removeIf(name -> name.startsWith("LOGOPHON_"));
        builder.environment().put("LOGOPHON_PORT", Integer.toString(port));
        builder.environment().put("LOGOPHON_DATA", data.toString());
        builder.environment().put("LOGOPHON_MEASURE_VOICES", "false");
        // what runs for a moment needn't be compiled for hours
        builder.environment()
                .put(
                        "JDK_JAVA_OPTIONS",
                        "-XX:TieredStopAtLevel=1 "
                                + String.join(" ", QuickStart.get().options()));
        builder.environment().putAll(settings);
        Process process =
                builder.redirectErrorStream(true).redirectOutput(log.toFile()).start();
        started.add(process);
        return process;
    }

    static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The status of the Shelf, or 0 while nobody answers. */
    static int shelf(int port) {
        try {
            return HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create("http://localhost:" + port + "/"))
                                    .timeout(Duration.ofSeconds(60))
                                    .build(),
                            HttpResponse.BodyHandlers.discarding())
                    .statusCode();
        } catch (IOException nobody) {
            return 0;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return 0;
        }
    }

    /** A process that a killed parent left may wait for ever to be counted out: it runs no more. */
    static boolean runs(ProcessHandle process) {
        try {
            String state = Files.readString(Path.of("/proc/" + process.pid() + "/stat"));
            return "ZX".indexOf(state.charAt(state.lastIndexOf(')') + 2)) < 0;
        } catch (IOException gone) {
            return false;
        }
    }

    static void await(String what, java.util.function.BooleanSupplier condition) throws Exception {
        Server.await(what, condition::getAsBoolean);
    }

    static ProcessHandle child(Process launcher, String named) {
        return launcher.children()
                .filter(process -> process.info().commandLine().orElse("").contains(named))
                .findFirst()
                .orElseThrow();
    }

    @AfterEach
    void stopAll() throws Exception {
        for (Process process : started) {
            process.destroy();
            process.waitFor();
        }
        try (Stream<Path> all = Files.walk(home)) {
            all.sorted(Comparator.reverseOrder()).forEach(path -> path.toFile().delete());
        }
    }
}
