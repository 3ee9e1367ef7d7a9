package org.logophon.speech;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;

/** People made of the clear voices by timbre, pitch, range and pace: the table {@code cast.tsv}. */
final class CastVoices {

    private CastVoices() {}

    /** @param bases the engines' own voices */
    static List<Voice> of(VoiceCatalogue bases) {
        try (InputStream table = CastVoices.class.getResourceAsStream("cast.tsv");
                BufferedReader lines = new BufferedReader(new InputStreamReader(table, StandardCharsets.UTF_8))) {
            return lines.lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> voice(line.split("\t"), bases))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Voice voice(String[] cells, VoiceCatalogue bases) {
        Voice base = bases.find(cells[2]).orElseThrow();
        return base.as(
                cells[0],
                cells[1],
                "F".equals(cells[3]) ? Gender.FEMALE : Gender.MALE,
                Age.valueOf(cells[4].toUpperCase(Locale.ROOT)),
                List.of(cells[5].split(", ")),
                new Tuning(
                        Integer.parseInt(cells[6]),
                        Double.parseDouble(cells[7]),
                        Integer.parseInt(cells[8]),
                        Double.parseDouble(cells[9]),
                        null,
                        0));
    }
}
