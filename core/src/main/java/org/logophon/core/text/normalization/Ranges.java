package org.logophon.core.text.normalization;

import java.util.List;
import java.util.regex.MatchResult;

/** Ranges are said with "to"; years with both centuries or without; what counts down is a score (practice). */
final class Ranges {

    private final English english;

    private Ranges(English english) {
        this.english = english;
    }

    static List<Rule> rules(English english) {
        Ranges ranges = new Ranges(english);
        return List.of(
                Rule.of(
                        FormKind.RANGE,
                        "(?<![\\w.,/–-])(1[1-9]\\d{2}|20\\d{2}) ?[–—-] "
                                + "?(1[1-9]\\d{2}|20\\d{2}|\\d{2})(?![\\w/–-]|[.,]\\d)",
                        ranges::years),
                Rule.of(
                        FormKind.RANGE,
                        "(?<![\\w.,/:–-])(\\d{1,6}):(\\d{3,9})(?![\\w:]|[.,]\\d)",
                        m -> List.of(english.cardinal(m.group(1)) + " to " + english.cardinal(m.group(2)))),
                Rule.of(
                        FormKind.RANGE,
                        "(?<![\\w.,/:–-])(\\d{1,2}):(\\d)(?![\\w:]|[.,]\\d)",
                        m -> List.of(
                                english.cardinal(m.group(1)) + " to " + english.cardinal(m.group(2)),
                                english.cardinal(m.group(1)) + " by " + english.cardinal(m.group(2)))),
                Rule.of(
                        FormKind.RANGE,
                        "(?<![\\w.,/–-])((?:\\d{1,3}(?:,\\d{3})+|\\d+)(?:\\.\\d+)?)(?: ?[–—] "
                                + "?|-)((?:\\d{1,3}(?:,\\d{3})+|\\d+)(?:\\.\\d+)?)(?![\\w/–-]|[.,]\\d)",
                        ranges::numbers));
    }

    private List<String> years(MatchResult match) {
        String to = match.group(2);
        if (to.length() == 2
                && Integer.parseInt(to) <= Integer.parseInt(match.group(1).substring(2))) {
            return List.of();
        }
        String end = to.length() == 4
                ? english.year(to)
                : to.startsWith("0") ? "oh " + english.cardinal(to.substring(1)) : english.cardinal(to);
        return List.of(english.year(match.group(1)) + " to " + end);
    }

    private List<String> numbers(MatchResult match) {
        String from = english.cardinal(match.group(1));
        String to = english.cardinal(match.group(2));
        String score = from + " " + ("0".equals(match.group(2)) && english.british() ? "nil" : to);
        boolean down = new java.math.BigDecimal(match.group(1).replace(",", ""))
                        .compareTo(new java.math.BigDecimal(match.group(2).replace(",", "")))
                > 0;
        return down ? List.of(score, from + " to " + to) : List.of(from + " to " + to, score);
    }
}
