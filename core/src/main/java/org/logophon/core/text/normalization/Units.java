package org.logophon.core.text.normalization;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;

/** Amounts with a unit of measure: the unit's name, one or many, after the number (SI Brochure 9th ed., 5.4). */
final class Units {

    private static final String NUMBER = "([-−+±~]?(?:\\d{1,3}(?:,\\d{3})+|\\d+)(?:\\.\\d+)?)";

    private final English english;

    private Units(English english) {
        this.english = english;
    }

    static List<Rule> rules(English english) {
        Units units = new Units(english);
        String unit = "(" + Measures.pattern(true) + ")";
        String edge = "(?![\\p{L}\\p{N}²³])";
        return List.of(
                Rule.of(
                        FormKind.UNIT,
                        "(?<![\\w.,/])(\\d{1,2})['′’] ?(\\d{1,2})(?:[\"″”]|'')",
                        m -> List.of(
                                units.amount(m.group(1), "ft") + " " + english.cardinal(m.group(2)),
                                units.amount(m.group(1), "ft") + " " + units.amount(m.group(2), "in"))),
                Rule.of(
                        FormKind.UNIT,
                        "(?<![\\w.,/])" + NUMBER
                                + " ?[×xX] ?((?:\\d{1,3}(?:,\\d{3})+|\\d+)(?:\\.\\d+)?)(?: ?[×xX] "
                                + "?((?:\\d{1,3}(?:,\\d{3})+|\\d+)(?:\\.\\d+)?))?(?:[ \u00A0]?"
                                + unit + ")?" + edge,
                        units::by),
                Rule.of(
                        FormKind.UNIT,
                        "(?<![\\w.,/])" + NUMBER + "[–-]" + NUMBER + "[ \u00A0]?" + unit + edge,
                        m -> units.preposition(m, 3)
                                ? List.of()
                                : List.of(
                                        english.cardinal(m.group(1)) + " to " + units.amount(m.group(2), m.group(3)))),
                Rule.of(
                        FormKind.UNIT,
                        "(?<![\\p{L}\\p{N}.,/])" + NUMBER + "[ \u00A0\u202F]?" + unit + edge,
                        units::one),
                Rule.of(
                        FormKind.UNIT,
                        "(?<![\\p{L}\\p{N}.,/])((?:\\d{1,3}(?:,\\d{3})+|\\d+)(?:\\.\\d+)?)-(" + Measures.pattern(true)
                                + ")" + edge,
                        m -> List.of(english.cardinal(m.group(1)) + " "
                                + english.measures().name(m.group(2), BigDecimal.ONE))),
                Rule.of(
                        FormKind.UNIT,
                        "(?<![\\p{L}\\p{N}.,/])(kHz|MHz|GHz|Hz|dB)(?![\\p{L}\\p{N}])",
                        m -> List.of(
                                switch (m.group()) {
                                    case "kHz" -> "kilohertz";
                                    case "MHz" -> "megahertz";
                                    case "GHz" -> "gigahertz";
                                    case "Hz" -> "hertz";
                                    default -> "decibels";
                                })),
                Rule.of(
                        FormKind.UNIT,
                        "(?<![\\w.,/])((?:\\d{1,3}(?:,\\d{3})+|\\d+)(?:\\.\\d+)?)[xX×](?![\\p{L}\\p{N}])",
                        m -> List.of(english.cardinal(m.group(1)) + " times")));
    }

    private List<String> one(MatchResult match) {
        if (preposition(match, 2)) {
            return List.of();
        }
        String figures = match.group(1);
        String about = figures.startsWith("~") ? "about " : "";
        String said = about + amount(about.isEmpty() ? figures : figures.substring(1), match.group(2));
        List<String> ways = new ArrayList<>(List.of(said));
        if ("m".equals(match.group(2))) {
            ways.add(english.cardinal(figures.replace("~", "")) + " million");
        }
        return ways;
    }

    /** "Set in 12 in the north": the two letters are the unit only when they touch the number or end the clause. */
    private boolean preposition(MatchResult match, int group) {
        return "in".equals(match.group(group)) && match.group().contains(" in");
    }

    private List<String> by(MatchResult match) {
        StringBuilder said = new StringBuilder(english.cardinal(match.group(1)))
                .append(" by ")
                .append(english.cardinal(match.group(2)));
        if (match.group(3) != null) {
            said.append(" by ").append(english.cardinal(match.group(3)));
        }
        if (match.group(4) != null) {
            said.append(' ').append(english.measures().name(match.group(4), amountOf(match.group(2))));
        }
        return List.of(said.toString(), said.toString().replace(" by ", " times "));
    }

    private String amount(String figures, String unit) {
        return english.cardinal(figures) + " " + english.measures().name(unit, amountOf(figures));
    }

    private static BigDecimal amountOf(String figures) {
        return new BigDecimal(figures.replaceAll("[-−+±,]", ""));
    }
}
