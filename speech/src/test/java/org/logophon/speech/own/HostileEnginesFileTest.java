package org.logophon.speech.own;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.core.input.InvalidInput;

/** A file of engines with damage in it: it is read, or refused with a sentence. Each run has a seed of its own. */
class HostileEnginesFileTest {

    private static final int FILES = Integer.getInteger("hostile.files", 300);
    private static final String[] FILLERS = {
        "\t",
        ": ",
        "- ",
        "&a ",
        "*a ",
        "!!java.net.URL [x]",
        "{",
        "[",
        "\"",
        "#",
        "\0",
        "é",
        "9".repeat(30),
        "null",
        "\n  "
    };

    @Test
    void everyDamagedFileIsReadOrRefused(@TempDir Path folder) throws Exception {
        long seed = Long.getLong("hostile.seed", 1);
        System.out.println("Hostile files of engines, seed " + seed);
        Random random = new Random(seed);
        byte[] whole = Files.readAllBytes(Path.of("..", "docs", "engines.yaml"));
        Path file = folder.resolve("engines.yaml");
        for (int i = 0; i < FILES; i++) {
            StringBuilder text = new StringBuilder(new String(whole, StandardCharsets.UTF_8));
            for (int n = 1 + random.nextInt(6); n > 0; n--) {
                int at = random.nextInt(text.length());
                if (random.nextBoolean()) {
                    text.delete(at, Math.min(text.length(), at + 1 + random.nextInt(40)));
                } else {
                    text.insert(at, FILLERS[random.nextInt(FILLERS.length)].repeat(1 + random.nextInt(5)));
                }
            }
            Files.writeString(file, text);
            try {
                OwnEnginesFile.read(file);
            } catch (InvalidInput refused) {
                assertThat(refused.getMessage())
                        .as("seed " + seed + ", file " + i)
                        .doesNotContain("Exception", "org.yaml");
            }
        }
    }
}
