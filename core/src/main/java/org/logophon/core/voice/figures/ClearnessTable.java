package org.logophon.core.voice.figures;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.logophon.core.input.InvalidInput;

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

    /**
     * This table with another one's voices, whose tool stands in its own first line.
     *
     * @throws InvalidInput for none such
     */
    public ClearnessTable with(String text) {
        Map<String, Clearness> all = new HashMap<>(byVoice);
        all.putAll(parse(text).byVoice);
        return new ClearnessTable(tool, all);
    }

    private static ClearnessTable read() {
        try (InputStream table = ClearnessTable.class.getResourceAsStream("clearness.tsv")) {
            return parse(new String(table.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static ClearnessTable parse(String text) {
        List<String> lines = text.lines().toList();
        Map<String, Clearness> all = new HashMap<>();
        try {
            lines.stream()
                    .filter(line -> !line.startsWith("#") && !line.isBlank())
                    .map(line -> line.split("\t"))
                    .forEach(cells ->
                            all.put(cells[0], new Clearness(Integer.parseInt(cells[1]), Integer.parseInt(cells[2]))));
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException bad) {
            throw new InvalidInput("It is no table of clearness as ./logophon measure-voices writes it.", bad);
        }
        return new ClearnessTable(lines.isEmpty() ? "" : lines.get(0).replaceFirst("^# *", ""), all);
    }
}
