package org.logophon.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Shows processes another time than the machine has, by way of libfaketime; how long something takes stays as it is.
 */
final class JumpingClock {

    private static final String LIBRARY = "faketime/libfaketime.so.1";

    private final Path says;

    /** @param says the file in which what it shows is written, to be read by whoever it is shown to */
    JumpingClock(Path says) throws IOException {
        this.says = says;
        jump("+0");
    }

    /** @param by as libfaketime reads it: {@code +1h}, {@code +0} */
    void jump(String by) throws IOException {
        Files.writeString(says, by + "\n");
    }

    /** For a process that sees this time. */
    Map<String, String> environment() throws IOException {
        try (Stream<Path> architectures = Files.list(Path.of("/usr/lib"))) {
            Path library = architectures
                    .map(folder -> folder.resolve(LIBRARY))
                    .filter(Files::exists)
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("Install faketime."));
            return Map.of(
                    "LD_PRELOAD",
                    library.toString(),
                    "FAKETIME_TIMESTAMP_FILE",
                    says.toString(),
                    "FAKETIME_CACHE_DURATION",
                    "1",
                    "FAKETIME_DONT_FAKE_MONOTONIC",
                    "1",
                    "DONT_FAKE_MONOTONIC",
                    "1");
        }
    }
}
