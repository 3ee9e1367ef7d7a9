package org.logophon.core.voice.described;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;

/** The words that a description may have, and what each of them changes: the table {@code words.tsv}. */
final class DescribingWords {

    static final Map<String, Meaning> ALL = read();

    private DescribingWords() {}

    /** What a word changes more or less of. */
    enum Scale {
        PITCH,
        PACE,
        RANGE,
        COLOUR
    }

    /** @param gender null when it names none @param age null when it names none */
    record Meaning(Gender gender, Age age, Map<Scale, Double> scales, boolean whispers) {}

    private static Map<String, Meaning> read() {
        try (InputStream table = DescribingWords.class.getResourceAsStream("words.tsv");
                BufferedReader lines = new BufferedReader(new InputStreamReader(table, StandardCharsets.UTF_8))) {
            Map<String, Meaning> all = new LinkedHashMap<>();
            lines.lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split("\t"))
                    .forEach(cells -> all.put(cells[0], meaning(cells[1])));
            return all;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Meaning meaning(String changes) {
        Gender gender = null;
        Age age = null;
        boolean whispers = false;
        Map<Scale, Double> scales = new EnumMap<>(Scale.class);
        for (String change : changes.split(" ")) {
            String[] part = change.split("=");
            switch (part[0]) {
                case "sex" -> gender = part[1].equals("man") ? Gender.MALE : Gender.FEMALE;
                case "age" -> age = Age.valueOf(part[1].toUpperCase(java.util.Locale.ROOT));
                case "whisper" -> whispers = true;
                default ->
                    scales.put(Scale.valueOf(part[0].toUpperCase(java.util.Locale.ROOT)), Double.valueOf(part[1]));
            }
        }
        return new Meaning(gender, age, scales, whispers);
    }
}
