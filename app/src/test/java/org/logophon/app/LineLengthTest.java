package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Java, comments and strings included, fits a screen; what the formatter leaves alone is held here. */
class LineLengthTest {

    private static final int WIDEST = 120;
    /** What has no space to break at, as a pattern, stays whole. */
    private static final int WHOLE = 40;

    @Test
    void javaFitsAScreen() throws IOException {
        List<String> wide = new ArrayList<>();
        int files = 0;
        for (String module : List.of("core", "documents", "speech", "standin", "cli", "app")) {
            try (Stream<Path> found = Files.walk(Path.of("..", module, "src"))) {
                for (Path file :
                        (Iterable<Path>) found.filter(path -> path.toString().endsWith(".java"))::iterator) {
                    files++;
                    look(file, wide);
                }
            }
        }
        assertThat(files).isGreaterThan(1_000);
        assertThat(wide).isEmpty();
    }

    /** Texts in blocks stay as they are. */
    private static void look(Path file, List<String> wide) throws IOException {
        boolean block = false;
        for (String line : Files.readAllLines(file)) {
            boolean fence = (line.length() - line.replace("\"\"\"", "").length()) / 3 % 2 == 1;
            boolean whole = line.startsWith("import ")
                    || Arrays.stream(line.split(" ")).anyMatch(word -> word.length() > WHOLE);
            if (line.length() > WIDEST && !block && !whole) {
                wide.add(file.getFileName() + ": " + line.strip());
            }
            block ^= fence;
        }
    }
}
