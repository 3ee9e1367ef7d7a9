package org.logophon.core.text.normalization;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Signs that stand for a word. */
final class Symbols {

    private static final Map<String, String> SAID = Map.ofEntries(
            Map.entry("&", "and"),
            Map.entry("+", "plus"),
            Map.entry("=", "equals"),
            Map.entry("×", "times"),
            Map.entry("÷", "divided by"),
            Map.entry("±", "plus or minus"),
            Map.entry("≈", "approximately"),
            Map.entry("≠", "is not equal to"),
            Map.entry("≤", "less than or equal to"),
            Map.entry("≥", "greater than or equal to"),
            Map.entry("<", "less than"),
            Map.entry(">", "greater than"),
            Map.entry("→", "to"),
            Map.entry("@", "at"),
            Map.entry("©", "copyright"),
            Map.entry("®", "registered"),
            Map.entry("™", "trademark"),
            Map.entry("§", "section"),
            Map.entry("¶", "paragraph"),
            Map.entry("%", "per cent"),
            Map.entry("°", "degrees"),
            Map.entry("#", "hash"),
            Map.entry("−", "minus"),
            Map.entry("√", "the square root of"),
            Map.entry("∞", "infinity"),
            Map.entry("π", "pi"),
            Map.entry("µ", "micro"),
            Map.entry("Δ", "delta"),
            Map.entry("Ω", "ohm"),
            Map.entry("α", "alpha"),
            Map.entry("β", "beta"));

    private Symbols() {}

    static List<Rule> rules() {
        List<Rule> rules = new ArrayList<>();
        rules.add(Rule.of(
                FormKind.SYMBOL, "(?i)(?<![\\p{L}\\p{N}])and/or(?![\\p{L}\\p{N}])", m -> List.of("and or", "or")));
        rules.add(Rule.of(FormKind.SYMBOL, "(?<![\\p{L}\\p{N}])w/o(?![\\p{L}\\p{N}])", m -> List.of("without")));
        rules.add(Rule.of(FormKind.SYMBOL, "(?<![\\p{L}\\p{N}])w/(?![\\p{L}\\p{N}])", m -> List.of("with")));
        rules.add(Rule.of(FormKind.SYMBOL, "(?<=\\p{L})\\+\\+", m -> List.of("plus plus")));
        rules.add(Rule.of(FormKind.SYMBOL, "(?<=(?<![\\p{L}\\p{N}])[CF])#", m -> List.of("sharp")));
        rules.add(Rule.ofGroup(FormKind.SYMBOL, 1, "(?<=\\p{L}) ?(/) ?(?=\\p{L})", m -> List.of("or", "slash")));
        rules.add(Rule.of(FormKind.SYMBOL, "[&+=×÷±≈≠≤≥<>→@©®™§¶%°#−√∞πµΔΩαβ]", m -> List.of(SAID.get(m.group()))));
        return rules;
    }
}
