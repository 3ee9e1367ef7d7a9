package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A table is written in one slice of the application: whoever wants its rows changed asks there. */
class SqlTest {

    private static final Path SOURCES = Path.of("src/main/java/org/logophon/app");
    static final Pattern WRITES =
            Pattern.compile("(?:insert into|delete from|(?<!for )update)\\s+([a-z_]+)(?=[\\s\"(])(?!\\s+set\\s*=)");

    /**
     * The slice in which something is: a storey and a package in it, as {@code services.project}; outside of them a
     * package.
     */
    static String slice(String name) {
        return name.replaceAll("^((?:platform|services|steps)\\.\\w+|\\w+).*", "$1");
    }

    /** Slices that write it, by table. */
    static Map<String, Set<String>> slicesByTable() {
        Map<String, Set<String>> slices = new TreeMap<>();
        try (Stream<Path> files = Files.walk(SOURCES)) {
            files.filter(file -> file.toString().endsWith(".java")).forEach(file -> {
                String slice = slice(SOURCES.relativize(file).toString().replace('/', '.'));
                Matcher written = WRITES.matcher(read(file).replaceAll("(?m)^\\s*(?:\\*|//|/\\*).*$", ""));
                while (written.find()) {
                    slices.computeIfAbsent(written.group(1), table -> new TreeSet<>())
                            .add(slice);
                }
            });
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        slices.keySet().removeAll(Set.of("set", "of", "skip", "where"));
        return slices;
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void everyTableIsWrittenInOneSlice() {
        Map<String, Set<String>> slices = slicesByTable();
        assertThat(slices)
                .containsKeys("project", "cue", "take", "take_event", "sound", "speech", "delivery", "charge");
        assertThat(slices)
                .allSatisfy((table, where) -> assertThat(where).as(table).hasSize(1));
    }
}
