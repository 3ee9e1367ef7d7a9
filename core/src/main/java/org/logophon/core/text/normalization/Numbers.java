package org.logophon.core.text.normalization;

import java.util.ArrayList;
import java.util.List;

/** Numbers that nothing else has claimed. */
final class Numbers {

    private Numbers() {}

    static List<Rule> rules(English english) {
        return List.of(
                Rule.of(
                        FormKind.NUMBER,
                        "(?<![\\w.,])((?:\\d{1,3}(?:,\\d{3})+|\\d+)(?:\\.\\d+)?)[ "
                                + "\u00A0]?(million|billion|trillion|thousand|hundred|dozen)(?![\\p{L}])",
                        m -> List.of(english.cardinal(m.group(1)) + " " + m.group(2))),
                Rule.of(
                        FormKind.NUMBER,
                        "(?<![\\w.,])\\d{1,3}(?:[ \u00A0\u202F]\\d{3})+(?![\\w]|[.,]\\d)",
                        m -> List.of(english.cardinal(m.group()))),
                Rule.of(
                        FormKind.NUMBER,
                        "(?<![\\w.,])~((?:\\d{1,3}(?:,\\d{3})+|\\d+)(?:\\.\\d+)?)(?!\\w)",
                        m -> List.of("about " + english.cardinal(m.group(1)))),
                Rule.of(
                        FormKind.NUMBER,
                        "(?<![\\p{L}\\p{N}.])[-−+±]?(?:\\d{1,3}(?:,\\d{3})+|\\d+)(?:\\.\\d+)?(?![\\p{L}\\p{N}])",
                        m -> plain(english, m.group())),
                Rule.of(
                        FormKind.NUMBER,
                        "(?<![\\p{L}\\p{N}.,])\\.\\d+(?![\\p{L}\\p{N}])",
                        m -> List.of(english.cardinal(m.group()))));
    }

    /** Powers, as science writes them. */
    static List<Rule> powers(English english) {
        return List.of(
                Rule.of(
                        FormKind.NUMBER,
                        "(?<![\\w.,])(\\d+(?:\\.\\d+)?)[eE]([-−+]?\\d{1,3})(?!\\w)",
                        m -> List.of(english.cardinal(m.group(1)) + " times ten to the power of "
                                + english.cardinal(m.group(2).replace("+", "")))),
                Rule.of(
                        FormKind.NUMBER,
                        "(?<![\\w.,])(\\d{1,3}(?:,\\d{3})+|\\d+)([²³])",
                        m -> List.of(english.cardinal(m.group(1)) + ("²".equals(m.group(2)) ? " squared" : " cubed"))),
                Rule.of(
                        FormKind.NUMBER,
                        "(?<![\\w.,])(\\d{1,3}(?:,\\d{3})+|\\d+)\\^([-−]?\\d{1,3})(?!\\w)",
                        m -> List.of(
                                english.cardinal(m.group(1)) + " to the power of " + english.cardinal(m.group(2)))));
    }

    private static List<String> plain(English english, String figures) {
        List<String> said = new ArrayList<>(List.of(english.cardinal(figures)));
        String digits = english.digits(figures);
        if (figures.matches("\\d{3,}") && !said.contains(digits)) {
            said.add(digits);
        }
        return said;
    }
}
