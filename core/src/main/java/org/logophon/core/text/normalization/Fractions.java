package org.logophon.core.text.normalization;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Fractions, as figures with a slash and as single characters. */
final class Fractions {

    private static final Map<Character, int[]> VULGAR = Map.ofEntries(
            Map.entry('½', new int[] {1, 2}),
            Map.entry('⅓', new int[] {1, 3}),
            Map.entry('⅔', new int[] {2, 3}),
            Map.entry('¼', new int[] {1, 4}),
            Map.entry('¾', new int[] {3, 4}),
            Map.entry('⅕', new int[] {1, 5}),
            Map.entry('⅖', new int[] {2, 5}),
            Map.entry('⅗', new int[] {3, 5}),
            Map.entry('⅘', new int[] {4, 5}),
            Map.entry('⅙', new int[] {1, 6}),
            Map.entry('⅚', new int[] {5, 6}),
            Map.entry('⅛', new int[] {1, 8}),
            Map.entry('⅜', new int[] {3, 8}),
            Map.entry('⅝', new int[] {5, 8}),
            Map.entry('⅞', new int[] {7, 8}));
    /** Written like a fraction and said as two numbers (practice). */
    private static final Set<String> PAIRS = Set.of("24/7", "50/50", "9/11", "20/20", "60/40", "80/20", "70/30", "7/7");

    private final English english;

    private Fractions(English english) {
        this.english = english;
    }

    static List<Rule> rules(English english) {
        Fractions fractions = new Fractions(english);
        String characters = "[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]";
        String edge = "(?![\\p{L}\\p{N}/]|[.,]\\d)";
        return List.of(
                Rule.of(
                        FormKind.FRACTION,
                        "(?<![\\w.,/])(\\d{0,6})[ ]?(" + characters + ")(?: ?(" + Measures.pattern(true)
                                + ")(?![\\p{L}\\p{N}]))?" + edge,
                        m -> fractions.mixed(m.group(1), VULGAR.get(m.group(2).charAt(0)), m.group(3))),
                Rule.of(
                        FormKind.FRACTION,
                        "(?<![\\w.,/])(\\d{1,3}) (\\d{1,2})/(\\d{1,2})" + edge,
                        m -> fractions.proper(m.group(2), m.group(3))
                                ? fractions.mixed(m.group(1), parts(m.group(2), m.group(3)), null)
                                : List.of()),
                Rule.of(
                        FormKind.FRACTION,
                        "(?<![\\w.,/:+-])(\\d{1,4})/(\\d{1,4})" + edge,
                        m -> fractions.plain(m.group(), m.group(1), m.group(2))));
    }

    private boolean proper(String above, String below) {
        return Integer.parseInt(below) > Integer.parseInt(above) && Integer.parseInt(above) > 0;
    }

    private static int[] parts(String above, String below) {
        return new int[] {Integer.parseInt(above), Integer.parseInt(below)};
    }

    private List<String> plain(String written, String above, String below) {
        if (PAIRS.contains(written)) {
            return List.of(english.cardinal(above) + " " + english.cardinal(below));
        }
        int[] parts = parts(above, below);
        if (parts[1] < 2 || parts[0] < 1) {
            return List.of(english.cardinal(above) + " out of " + english.cardinal(below));
        }
        String outOf = english.cardinal(above) + " out of " + english.cardinal(below);
        if (parts[1] > 100 || parts[0] >= parts[1]) {
            return List.of(english.cardinal(above) + " over " + english.cardinal(below), outOf);
        }
        List<String> said = new ArrayList<>(List.of(name(parts, false)));
        if (parts[1] == 4) {
            said.add(english.cardinal(above) + (parts[0] == 1 ? " fourth" : " fourths"));
        }
        said.add(outOf);
        return said;
    }

    private List<String> mixed(String whole, int[] parts, String unit) {
        String number = whole.isEmpty() ? name(parts, true) : english.cardinal(whole) + " and " + name(parts, true);
        if (unit == null) {
            return List.of(number);
        }
        String name = english.measures().name(unit, new java.math.BigDecimal(whole.isEmpty() ? "1" : "2"));
        return List.of(whole.isEmpty() ? number + " of a " + name : number + " " + name);
    }

    /** @param article true for "a half" after a whole number; a fraction alone is "one half" */
    private String name(int[] parts, boolean article) {
        String one = article ? "a" : "one";
        if (parts[1] == 2) {
            return parts[0] == 1 ? one + " half" : english.cardinal(Integer.toString(parts[0])) + " halves";
        }
        String below = parts[1] == 4 ? "quarter" : english.ordinal(Integer.toString(parts[1]));
        return parts[0] == 1 ? one + " " + below : english.cardinal(Integer.toString(parts[0])) + " " + below + "s";
    }
}
