package org.logophon.core.text.normalization;

import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Ordinals, and numbers that a short word introduces: No. 4, p. 12, Fig. 3. */
final class Ordinals {

    private static final Map<String, String> SHORT = Map.ofEntries(
            Map.entry("no", "number"),
            Map.entry("nos", "numbers"),
            Map.entry("№", "number"),
            Map.entry("vol", "volume"),
            Map.entry("p", "page"),
            Map.entry("pp", "pages"),
            Map.entry("ch", "chapter"),
            Map.entry("fig", "figure"),
            Map.entry("figs", "figures"),
            Map.entry("sec", "section"),
            Map.entry("ep", "episode"),
            Map.entry("pt", "part"),
            Map.entry("art", "article"),
            Map.entry("ref", "reference"),
            Map.entry("ext", "extension"),
            Map.entry("§", "section"),
            Map.entry("#", "number"));

    private Ordinals() {}

    static List<Rule> rules(English english) {
        return List.of(
                Rule.of(
                        FormKind.ORDINAL,
                        "(?<![\\w.,])(\\d{1,3}(?:,\\d{3})+|\\d+)(st|nd|rd|th)(?![\\p{L}\\p{N}])",
                        m -> suffixed(english, m.group(1), m.group(2))),
                Rule.of(
                        FormKind.ORDINAL,
                        "(?i)(?<![\\p{L}\\p{N}.])(nos?|vol|pp?|ch|figs?|sec|ep|pt|art|ref|ext)\\. "
                                + "?(\\d{1,3}(?:,\\d{3})+|\\d+)[–-](\\d{1,3}(?:,\\d{3})+|\\d+)(?![\\p{L}\\p{N}])",
                        m -> List.of(name(m.group(1)) + " " + english.cardinal(m.group(2)) + " to "
                                + english.cardinal(m.group(3)))),
                Rule.of(
                        FormKind.ORDINAL,
                        "(?i)(?<![\\p{L}\\p{N}.])(nos?|vol|pp?|ch|figs?|sec|ep|pt|art|ref|ext)\\. "
                                + "?(\\d{1,3}(?:,\\d{3})+|\\d+)(?![\\p{L}\\p{N}])",
                        m -> List.of(name(m.group(1)) + " " + english.cardinal(m.group(2)))),
                Rule.of(
                        FormKind.ORDINAL,
                        "(?<![\\p{L}\\p{N}])(№|#|§) ?((?:\\d{1,3}(?:,\\d{3})+|\\d+)(?:\\.\\d+)?)(?![\\p{L}\\p{N}])",
                        m -> List.of(name(m.group(1)) + " " + english.cardinal(m.group(2)))));
    }

    /** 21st is an ordinal, 12st a weight in stone (14 pounds). */
    private static List<String> suffixed(English english, String figures, String suffix) {
        boolean teen = figures.matches(".*1\\d");
        String right = teen
                ? "th"
                : switch (figures.charAt(figures.length() - 1)) {
                    case '1' -> "st";
                    case '2' -> "nd";
                    case '3' -> "rd";
                    default -> "th";
                };
        return suffix.equals(right)
                ? List.of(english.ordinal(figures))
                : "st".equals(suffix)
                        ? List.of(english.cardinal(figures) + " stone", english.ordinal(figures))
                        : List.of(english.ordinal(figures));
    }

    private static String name(String written) {
        return SHORT.get(written.toLowerCase(Locale.ROOT));
    }
}
