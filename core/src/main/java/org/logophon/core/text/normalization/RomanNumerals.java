package org.logophon.core.text.normalization;

import java.util.List;
import java.util.Set;
import java.util.regex.MatchResult;

/**
 * Roman numerals: after a name an ordinal with its article, after a word that is numbered a cardinal (New Hart's Rules,
 * by memory 11.7: the clause is unverified).
 */
final class RomanNumerals {

    private static final String NUMERAL = "(M{0,3}(?:CM|CD|D?C{0,3})(?:XC|XL|L?X{0,3})(?:IX|IV|V?I{0,3}))";
    private static final String NUMBERED =
            "(?:Chapter|Part|Act|Scene|Volume|Book|War|Section|Article|Appendix|Phase|Type|Mark|Stage|Class|Level|Figure|"
                    + "Table|Plate|Title|Episode|Series|Division|Grade|Mk\\.?|Vol\\.|Opus|Op\\.|Symphony|Sonata|Group|Olympiad)";
    /** Valid numerals that are words, letters or short forms far more often. */
    private static final Set<String> OTHERWISE = Set.of(
            "MIX", "CIVIL", "DIM", "DID", "MILD", "LIVID", "VIVID", "LID", "MID", "MD", "DC", "CD", "CC", "MC", "DI",
            "CV", "MI", "LI", "MM", "ML", "DL", "CL", "CM", "XL", "XXL", "DM", "MV", "LC", "DX", "CI", "MX", "LCD",
            "DVD", "XX");

    private RomanNumerals() {}

    static List<Rule> rules(English english) {
        return List.of(
                Rule.ofGroup(
                        FormKind.ROMAN_NUMERAL,
                        1,
                        "\\b" + NUMBERED + " " + NUMERAL + "(?:['’]s)?(?![\\p{L}\\p{N}])",
                        m -> numbered(english, m)),
                Rule.ofGroup(
                        FormKind.ROMAN_NUMERAL,
                        1,
                        "\\b\\p{Lu}\\p{Ll}{2,} " + NUMERAL + "(?=(?:['’]s)?(?![\\p{L}\\p{N}.]|['’]))",
                        m -> named(english, m)),
                Rule.of(
                        FormKind.ROMAN_NUMERAL,
                        "(?<![\\p{L}\\p{N}.&'’-])" + NUMERAL + "(?![\\p{L}\\p{N}&'’-])",
                        m -> alone(english, m)));
    }

    private static List<String> numbered(English english, MatchResult match) {
        return match.group(1).isEmpty()
                ? List.of()
                : List.of(english.cardinal(Integer.toString(value(match.group(1)))));
    }

    private static List<String> named(English english, MatchResult match) {
        String numeral = match.group(1);
        // "Then I", "Vitamin C", "Plan D": one letter is no numeral but after a monarch's name, where V and X stay
        // possible
        if (numeral.length() < 2 && !"V".equals(numeral) && !"X".equals(numeral)
                || numeral.isEmpty()
                || OTHERWISE.contains(numeral)) {
            return List.of();
        }
        String number = Integer.toString(value(numeral));
        return List.of("the " + english.ordinal(number), english.cardinal(number));
    }

    private static List<String> alone(English english, MatchResult match) {
        String numeral = match.group(1);
        if (numeral.length() < 2 || OTHERWISE.contains(numeral)) {
            return List.of();
        }
        String number = Integer.toString(value(numeral));
        boolean year = numeral.startsWith("M") && value(numeral) >= 1100;
        return List.of(year ? english.year(number) : english.cardinal(number), "the " + english.ordinal(number));
    }

    static int value(String numeral) {
        int sum = 0;
        for (int i = 0; i < numeral.length(); i++) {
            int here = letter(numeral.charAt(i));
            sum += i + 1 < numeral.length() && here < letter(numeral.charAt(i + 1)) ? -here : here;
        }
        return sum;
    }

    private static int letter(char letter) {
        return switch (letter) {
            case 'I' -> 1;
            case 'V' -> 5;
            case 'X' -> 10;
            case 'L' -> 50;
            case 'C' -> 100;
            case 'D' -> 500;
            default -> 1000;
        };
    }
}
