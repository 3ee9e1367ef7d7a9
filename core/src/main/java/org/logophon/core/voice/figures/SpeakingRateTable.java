package org.logophon.core.voice.figures;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.text.estimate.Estimate;
import org.logophon.core.text.estimate.SpeakingRate;
import org.logophon.core.text.estimate.TextTime;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Recipe;

/**
 * The speaking rates of the voices that ship with Logophon, as {@code ./logophon measure-voices --rates} wrote them
 * down: known before a voice has said a word here.
 */
public final class SpeakingRateTable {

    private static final Map<String, SpeakingRate> BY_BASE = read();

    /** A second of narration, phrased: of 60 cues, on average. */
    private static final TextTime USUAL = new TextTime(1, 0.90, 0.14);

    private SpeakingRateTable() {}

    /** @param baseId of the engine's own voice; empty for one that nobody has measured */
    public static Optional<SpeakingRate> of(String baseId) {
        return Optional.ofNullable(BY_BASE.get(baseId));
    }

    /** Seconds that a voice takes, directed so, for what an average one says in one. */
    public static double tempo(Voice voice, ResolvedDirection direction) {
        return tempo(
                of(voice.baseId()).orElse(new SpeakingRate(1)),
                direction.phrasingPercent(),
                Recipe.of("", voice, "", direction).paceFactor());
    }

    /** The same for a rate. @param phrasingPercent how much of its phrasing is heard */
    public static double tempo(SpeakingRate rate, int phrasingPercent, double paceFactor) {
        return Estimate.seconds(0, USUAL, phrasingPercent, rate, paceFactor, paceFactor);
    }

    private static SpeakingRate rate(String[] cells) {
        double factor = Double.parseDouble(cells[1]);
        return cells.length > 2 ? new SpeakingRate(factor, Double.parseDouble(cells[2])) : new SpeakingRate(factor);
    }

    private static Map<String, SpeakingRate> read() {
        Map<String, SpeakingRate> rates = new HashMap<>();
        try (InputStream table = SpeakingRateTable.class.getResourceAsStream("speaking-rates.tsv")) {
            new String(table.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split("\t"))
                    .forEach(cells -> rates.put(cells[0], rate(cells)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return Map.copyOf(rates);
    }
}
