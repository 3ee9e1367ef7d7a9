package org.logophon.core.voice.figures;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.text.estimate.SpeakingRate;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Recipe;

/**
 * The speaking rates of the voices that ship with Logophon, as {@code ./logophon measure-voices --rates} wrote them
 * down: known before a voice has said a word here.
 */
public final class SpeakingRateTable {

    private static final Map<String, SpeakingRate> BY_BASE = read();

    private SpeakingRateTable() {}

    /** @param baseId of the engine's own voice; empty for one that nobody has measured */
    public static Optional<SpeakingRate> of(String baseId) {
        return Optional.ofNullable(BY_BASE.get(baseId));
    }

    /** Seconds that a voice takes, directed so, for what an average one says in one. */
    public static double tempo(Voice voice, ResolvedDirection direction) {
        double rate = of(voice.baseId()).map(SpeakingRate::factor).orElse(1.0);
        return rate / Recipe.of("", voice, "", direction).paceFactor();
    }

    private static Map<String, SpeakingRate> read() {
        Map<String, SpeakingRate> rates = new HashMap<>();
        try (InputStream table = SpeakingRateTable.class.getResourceAsStream("speaking-rates.tsv")) {
            new String(table.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split("\t"))
                    .forEach(cells -> rates.put(cells[0], new SpeakingRate(Double.parseDouble(cells[1]))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return Map.copyOf(rates);
    }
}
