package org.logophon.core.text.normalization;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Abbreviations and signs of languages other than English, as {@code other-words.tsv} has them. */
final class OtherWords {

    /** Stands in the table for a figure that has to follow. */
    private static final String BEFORE_FIGURE = " #";

    private static final Map<String, Map<String, String>> WORDS = read();

    private OtherWords() {}

    private static Map<String, Map<String, String>> read() {
        Map<String, Map<String, String>> words = new LinkedHashMap<>();
        try (InputStream in = OtherWords.class.getResourceAsStream("other-words.tsv");
                BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            lines.lines().filter(line -> !line.startsWith("#")).forEach(line -> {
                String[] cells = line.split("\t");
                words.computeIfAbsent(cells[0], language -> new LinkedHashMap<>())
                        .put(cells[1], cells[2]);
            });
        } catch (IOException e) {
            throw new UncheckedIOException("The list of abbreviations can't be read. Build the application again.", e);
        }
        return words;
    }

    /** @param language as ISO 639 names it; one that the table lacks has no rules */
    static List<Rule> rules(String language) {
        Map<String, String> words = WORDS.getOrDefault(language, Map.of());
        List<Rule> rules = new ArrayList<>();
        add(rules, words, FormKind.ABBREVIATION, false, "");
        add(rules, words, FormKind.ABBREVIATION, true, "(?= ?\\d)");
        add(rules, words, FormKind.SYMBOL, false, "");
        return rules;
    }

    private static void add(
            List<Rule> rules, Map<String, String> words, FormKind kind, boolean beforeFigure, String after) {
        Map<String, String> some = new LinkedHashMap<>();
        words.forEach((written, said) -> {
            boolean sign = !Character.isLetter(written.charAt(0)) && written.length() == 1;
            if (written.endsWith(BEFORE_FIGURE) == beforeFigure && sign == (kind == FormKind.SYMBOL)) {
                some.put(written.replace(BEFORE_FIGURE, "").strip(), said);
            }
        });
        if (some.isEmpty()) {
            return;
        }
        String any = some.keySet().stream()
                .sorted(Comparator.comparingInt(String::length).reversed())
                .map(written -> Pattern.quote(written).replace(" ", "\\E[ \u00A0]?\\Q"))
                .collect(Collectors.joining("|"));
        rules.add(Rule.of(
                kind,
                kind == FormKind.SYMBOL
                        ? "(?<=[\\s\\d])(" + any + ")(?=[\\s\\d])"
                        : "(?<![\\p{L}\\p{N}.])(" + any + ")(?![\\p{L}\\p{N}])" + after,
                m -> List.of(some.get(spaced(m.group(1), some)))));
    }

    /** As the table writes it, whatever spaces the text has. */
    private static String spaced(String written, Map<String, String> words) {
        String plain = written.replaceAll("[ \u00A0]", "");
        return words.keySet().stream()
                .filter(known -> known.replace(" ", "").equals(plain))
                .findFirst()
                .orElseThrow();
    }
}
