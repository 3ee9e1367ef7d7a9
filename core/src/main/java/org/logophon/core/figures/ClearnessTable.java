package org.logophon.core.figures;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The clearness of the English voices that ship with Logophon, as {@code ./logophon measure-voices} wrote it down. */
public final class ClearnessTable {

    private static final ClearnessTable SHIPPED = read();

    private final String tool;
    private final Map<String, Clearness> byVoice;

    private ClearnessTable(String tool, Map<String, Clearness> byVoice) {
        this.tool = tool;
        this.byVoice = Map.copyOf(byVoice);
    }

    public static ClearnessTable shipped() {
        return SHIPPED;
    }

    /** Empty for a voice that nobody has measured: one of the user's own, of a service, or of another language. */
    public Optional<Clearness> of(String voiceId) {
        return Optional.ofNullable(byVoice.get(voiceId));
    }

    /** Name and version of the recogniser. */
    public String tool() {
        return tool;
    }

    private static ClearnessTable read() {
        try (InputStream table = ClearnessTable.class.getResourceAsStream("clearness.tsv");
                BufferedReader reader = new BufferedReader(new InputStreamReader(table, StandardCharsets.UTF_8))) {
            List<String> lines = reader.lines().toList();
            Map<String, Clearness> all = new HashMap<>();
            lines.stream()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split("\t"))
                    .forEach(cells ->
                            all.put(cells[0], new Clearness(Integer.parseInt(cells[1]), Integer.parseInt(cells[2]))));
            return new ClearnessTable(lines.get(0).substring(2), all);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
