package org.logophon.core.text.normalization;

import com.ibm.icu.text.DateFormatSymbols;
import com.ibm.icu.text.DecimalFormatSymbols;
import com.ibm.icu.util.Currency;
import com.ibm.icu.util.ULocale;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What CLDR gives for any language: numbers, ordinals, years, dates with names of months, times, units and per cent.
 */
final class OtherLanguage {

    private static final Map<String, String> RANGE = Map.of("de", "bis", "fr", "à", "es", "a", "it", "a");
    private static final Map<String, String> TO = Map.of("de", "zu", "fr", "à", "es", "a", "it", "a");
    private static final Map<String, String> MINUS = Map.of("de", "minus", "fr", "moins", "es", "menos", "it", "meno");
    private static final Map<String, String> AND_CENTS = Map.of("de", " ", "fr", " ", "es", " con ", "it", " e ");
    private static final Map<String, String> CENTS =
            Map.of("de", "Cent", "fr", "centimes", "es", "céntimos", "it", "centesimi");
    /** German words after which an ordinal ends in -en, and in -e. */
    private static final Set<String> BEFORE_EN = Set.of(
            "am", "vom", "zum", "im", "beim", "dem", "den", "des", "ab", "seit", "bis", "nach", "vor", "einem",
            "einen");

    private static final Set<String> BEFORE_E =
            Set.of("der", "die", "das", "diese", "dieser", "dieses", "jede", "jeder", "jedes", "welche", "eine");

    private final ULocale locale;
    private final Spellout spellout;
    private final Measures measures;
    private final String point;
    private final String group;

    private OtherLanguage(ULocale locale) {
        this.locale = locale;
        this.spellout = new Spellout(locale);
        this.measures = new Measures(locale);
        DecimalFormatSymbols symbols = DecimalFormatSymbols.getInstance(locale);
        this.point = symbols.getDecimalSeparatorString();
        this.group = symbols.getGroupingSeparatorString();
    }

    static List<Rule> rules(ULocale locale) {
        OtherLanguage language = new OtherLanguage(locale);
        String separators = "[" + Pattern.quote(language.group) + "\u00A0\u202F ]";
        String number = "(\\d{1,3}(?:" + separators + "\\d{3})+(?:" + Pattern.quote(language.point) + "\\d+)?|\\d+(?:"
                + Pattern.quote(language.point) + "\\d+)?)";
        String[] wide =
                DateFormatSymbols.getInstance(locale).getMonths(DateFormatSymbols.FORMAT, DateFormatSymbols.WIDE);
        String months = Stream.of(wide)
                .filter(name -> !name.isEmpty())
                .map(Pattern::quote)
                .collect(Collectors.joining("|"));
        List<Rule> rules = new ArrayList<>(OtherWords.rules(locale.getLanguage()));
        rules.addAll(language.dates(months, wide));
        rules.addAll(language.amounts(number));
        rules.addAll(language.ordinals());
        rules.add(Rule.around(
                FormKind.NUMBER,
                "(?<![\\w.,])(−|(?<=\\s)-)?" + number + "(?![\\p{L}\\p{N}]|[.,]\\d)",
                (m, text) ->
                        List.of(language.sign(m.group(1)) + language.counted(m.group(2), text.substring(m.end())))));
        return rules;
    }

    private List<Rule> dates(String months, String[] wide) {
        return List.of(
                Rule.around(
                        FormKind.DATE,
                        "(?<![\\w.])(\\d{4})-(\\d{2})-(\\d{2})(?!\\w)",
                        (m, text) -> date(before(text, m.start()), m.group(3), m.group(2), m.group(1), wide)),
                Rule.around(
                        FormKind.DATE,
                        "(?<![\\w.])(\\d{1,2})[./](\\d{1,2})[./](\\d{4})(?!\\w)",
                        (m, text) -> date(before(text, m.start()), m.group(1), m.group(2), m.group(3), wide)),
                Rule.around(
                        FormKind.DATE,
                        "(?iu)(?<![\\w.])(\\d{1,2})(\\.|er|º)? (?:de )?(" + months
                                + ")(?: (?:de )?(\\d{4}))?(?![\\p{L}\\p{N}])",
                        (m, text) -> List.of(day(before(text, m.start()), m.group(1), m.group(3), m.group(4)))),
                Rule.of(
                        FormKind.TIME,
                        "(?<![\\w.:])(\\d{1,2})(?:[:h]| h )(\\d{2})(?: Uhr| h)?(?![\\w:])",
                        m -> time(m.group(1), m.group(2))),
                Rule.of(FormKind.TIME, "(?<![\\w.:,])(\\d{1,2}) Uhr(?!\\w)", m -> time(m.group(1), "00")));
    }

    private List<Rule> amounts(String number) {
        String unit = "(" + Measures.pattern(false) + ")(?![\\p{L}\\p{N}])";
        return List.of(
                Rule.of(
                        FormKind.RANGE,
                        "(?<![\\w.,–-])" + number + " ?[–-] ?" + number + "(?:[ \u00A0]?" + unit
                                + ")?(?![\\p{L}\\p{N}–-]|[.,]\\d)",
                        m -> List.of(number(m.group(1)) + " " + RANGE.getOrDefault(locale.getLanguage(), "–") + " "
                                + (m.group(3) == null ? number(m.group(2)) : measure(m.group(2), m.group(3))))),
                Rule.of(
                        FormKind.UNIT,
                        "(?<![\\w.,])(−|(?<=\\s)-)?" + number + "[ \u00A0]?" + unit,
                        m -> List.of(sign(m.group(1)) + measure(m.group(2), m.group(3)))),
                Rule.of(
                        FormKind.MONEY,
                        "(?<![\\w.,])(?:([€£$]) ?" + number + "|" + number + "[ \u00A0]?([€£$]))(?![\\p{L}\\p{N}])",
                        m -> List.of(money(
                                m.group(1) == null ? m.group(4) : m.group(1),
                                m.group(2) == null ? m.group(3) : m.group(2)))),
                Rule.of(
                        FormKind.RANGE,
                        "(?<![\\w.,:])(\\d{1,2}):(\\d)(?![\\w:])",
                        m -> TO.containsKey(locale.getLanguage())
                                ? List.of(number(m.group(1)) + " " + TO.get(locale.getLanguage()) + " "
                                        + number(m.group(2)))
                                : List.of()),
                Rule.of(
                        FormKind.FRACTION,
                        "(?<![\\w.,/])(1/2|1/4|3/4|1/3|2/3|½|¼|¾|⅓|⅔)(?![\\w/])",
                        m -> OtherFractions.said(locale.getLanguage(), m.group(1))),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\w.,])(1[1-9]\\d{2}|20\\d{2})(?![\\w]|[.,]\\d)",
                        m -> List.of(spellout.say(m.group(1), "%spellout-numbering-year"))));
    }

    private List<Rule> ordinals() {
        return switch (locale.getLanguage()) {
            case "fr" ->
                List.of(
                        Rule.of(
                                FormKind.ROMAN_NUMERAL,
                                "(?<![\\p{L}\\p{N}])([IVX]{1,6})(er|e|ème)(?!\\w)",
                                m -> List.of(ordinal(Integer.toString(RomanNumerals.value(m.group(1))), false))),
                        Rule.of(
                                FormKind.ORDINAL,
                                "(?<![\\w.,])(\\d{1,9})(er|re|e|ème)(?!\\w)",
                                m -> List.of(ordinal(m.group(1), m.group(2).equals("re")))));
            case "es", "it" ->
                List.of(
                        Rule.ofGroup(
                                FormKind.ROMAN_NUMERAL,
                                1,
                                "(?:siglo|secolo|capítulo|capitolo) ([IVX]{1,6})(?![\\p{L}\\p{N}])",
                                m -> List.of(century(m.group(1)))),
                        Rule.ofGroup(
                                FormKind.ROMAN_NUMERAL,
                                1,
                                "(?<![\\p{L}\\p{N}])([IVX]{1,6})(?= secolo)",
                                m -> List.of(century(m.group(1)))),
                        Rule.of(
                                FormKind.ORDINAL,
                                "(?<![\\w.,])(\\d{1,9})\\.?(º|ª|°|er)(?![\\wC])",
                                m -> List.of(ordinal(m.group(1), m.group(2).equals("ª")))));
            case "de" ->
                List.of(
                        Rule.ofGroup(
                                FormKind.ROMAN_NUMERAL,
                                1,
                                "\\p{Lu}\\p{Ll}{2,} ([IVX]{1,6}\\.)(?! \\p{Lu}|\\w)",
                                m -> List.of("der "
                                        + capital(ending(
                                                Integer.toString(RomanNumerals.value(
                                                        m.group(1).replace(".", ""))),
                                                "der")))),
                        Rule.of(
                                FormKind.NUMBER,
                                "(?<![\\w.,])(1[1-9]\\d0|20\\d0|[2-9]0)er(?!\\w)",
                                m -> List.of(spellout.say(m.group(1), "%spellout-numbering-year") + "er")),
                        Rule.around(
                                FormKind.ORDINAL,
                                "(?<![\\w.,])(\\d{1,3})\\.(?= \\p{L})",
                                (m, text) -> List.of(ending(m.group(1), before(text, m.start())))));
            default ->
                List.of(Rule.of(
                        FormKind.ORDINAL,
                        "(?<![\\w.,])(\\d{1,3})\\.(?= \\p{L})",
                        m -> List.of(ordinal(m.group(1), false))));
        };
    }

    /** Spanish says centuries from the eleventh on as numbers, Italian all of them as ordinals. */
    private String century(String numeral) {
        int value = RomanNumerals.value(numeral);
        String figures = Integer.toString(value);
        return "es".equals(locale.getLanguage()) && value > 10
                ? spellout.say(figures, "%spellout-cardinal-masculine")
                : ordinal(figures, false);
    }

    private static String capital(String word) {
        return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
    }

    /** The word before a place, in small letters; empty at the start. */
    private static String before(String text, int at) {
        String[] words = text.substring(Math.max(0, at - 30), at).strip().split("[^\\p{L}]+");
        return words.length == 0 ? "" : words[words.length - 1].toLowerCase(Locale.ROOT);
    }

    /** A German ordinal as the word before it wants it: "am dritten", "die dritte", "dritter". */
    private String ending(String figures, String before) {
        String masculine = spellout.say(figures, "%spellout-ordinal-masculine");
        String stem = masculine.endsWith("er") ? masculine.substring(0, masculine.length() - 2) : masculine;
        return stem + (BEFORE_EN.contains(before) ? "en" : BEFORE_E.contains(before) ? "e" : "er");
    }

    private String sign(String minus) {
        return minus == null ? "" : MINUS.getOrDefault(locale.getLanguage(), "minus") + " ";
    }

    private String number(String figures) {
        String plain = plain(figures);
        int at = plain.indexOf('.');
        String whole = spellout.say(
                at < 0 ? plain : plain.substring(0, at), "%spellout-numbering", "%spellout-cardinal-masculine");
        return at < 0
                ? whole
                : whole + " " + pointWord() + " " + spellout.digits(plain.substring(at + 1), "%spellout-numbering");
    }

    private String measure(String figures, String symbol) {
        String name = measures.name(symbol, amount(figures));
        return (plain(figures).equals("1") ? one(name) : counted(figures, " " + name)) + " " + name;
    }

    /** Spanish counts things by their gender where a number ends in one: "veintiún días", "veintiuna toneladas". */
    private String counted(String figures, String after) {
        boolean thing = after.matches("(?s) \\p{Ll}{3,}.*");
        if (!"es".equals(locale.getLanguage()) || !thing || !plain(figures).matches("\\d*(?<!1)1")) {
            return number(figures);
        }
        boolean feminine = after.matches("(?s) "
                + "(?!d[ií]as?|mapas?|planetas?|\\p{Ll}+[bgtl][lr]?emas?|\\p{Ll}+amas?)\\p{Ll}+as?(?!\\p{L}).*");
        return spellout.say(plain(figures), feminine ? "%spellout-cardinal-feminine" : "%spellout-cardinal-masculine");
    }

    /** One of something, by its gender where the name tells. */
    private String one(String name) {
        return switch (locale.getLanguage()) {
            case "de" -> name.matches("(?i).*(tonne|meile|stunde|minute|sekunde|unze|kalorie)") ? "eine" : "ein";
            case "fr" -> name.matches("(?i).*(tonne|heure|minute|seconde|livre|once|calorie)") ? "une" : "un";
            case "es" -> name.endsWith("a") ? "una" : "un";
            case "it" -> name.endsWith("a") ? "una" : "un";
            default -> number("1");
        };
    }

    private String pointWord() {
        return switch (locale.getLanguage()) {
            case "de" -> "Komma";
            case "fr" -> "virgule";
            case "es" -> "coma";
            case "it" -> "virgola";
            default -> point;
        };
    }

    private String plain(String figures) {
        return figures.replaceAll("[\u00A0\u202F ]", "").replace(group, "").replace(point, ".");
    }

    private BigDecimal amount(String figures) {
        return new BigDecimal(plain(figures));
    }

    private String ordinal(String figures, boolean feminine) {
        return feminine
                ? spellout.say(figures, "%spellout-ordinal-feminine")
                : "1".equals(figures) && "fr".equals(locale.getLanguage())
                        ? "premier"
                        : spellout.say(figures, "%spellout-ordinal-masculine", "%spellout-ordinal");
    }

    private List<String> date(String before, String day, String month, String year, String[] months) {
        int number = Integer.parseInt(month);
        return number < 1 || number > 12 || Integer.parseInt(day) > 31 || Integer.parseInt(day) < 1
                ? List.of()
                : List.of(day(before, day, months[number - 1], year));
    }

    /** German says the day as an ordinal, the others as a number, but for the first. */
    private String day(String before, String day, String month, String year) {
        String figures = Integer.toString(Integer.parseInt(day));
        String name = "de".equals(locale.getLanguage())
                ? ending(figures, before)
                : "1".equals(figures) ? ordinal(figures, false) : spellout.say(figures, "%spellout-cardinal-masculine");
        String of = "es".equals(locale.getLanguage()) ? " de " : " ";
        return name + of + month + (year == null ? "" : of + spellout.say(year, "%spellout-numbering-year"));
    }

    private List<String> time(String hour, String minute) {
        int hours = Integer.parseInt(hour);
        int minutes = Integer.parseInt(minute);
        if (hours > 24 || minutes > 59) {
            return List.of();
        }
        String after = minutes == 0 ? "" : " " + spellout.say(Integer.toString(minutes), "%spellout-numbering");
        return List.of(
                switch (locale.getLanguage()) {
                    case "de" -> (hours == 1 ? "ein" : spellout.say(hour, "%spellout-numbering")) + " Uhr" + after;
                    case "fr" ->
                        spellout.say(hour, "%spellout-cardinal-feminine") + (hours < 2 ? " heure" : " heures") + after;
                    case "es" ->
                        spellout.say(hour, "%spellout-cardinal-feminine") + (minutes == 0 ? " en punto" : " y" + after);
                    case "it" -> spellout.say(hour, "%spellout-numbering") + (minutes == 0 ? "" : " e" + after);
                    default -> spellout.say(hour, "%spellout-numbering") + after;
                });
    }

    /** "Three euros fifty", as each language says it; amounts under one in cents. */
    private String money(String sign, String figures) {
        String code = "€".equals(sign) ? "EUR" : "£".equals(sign) ? "GBP" : "USD";
        BigDecimal amount = amount(figures);
        String plain = plain(figures);
        String language = locale.getLanguage();
        boolean cents = plain.matches("\\d+\\.\\d{2}") && AND_CENTS.containsKey(language);
        if (!cents) {
            String name = name(code, amount);
            return (plain.equals("1") ? one(name) : number(figures)) + " " + name;
        }
        String whole = plain.substring(0, plain.indexOf('.'));
        String part = Integer.toString(Integer.parseInt(plain.substring(plain.indexOf('.') + 1)));
        String said = whole.equals("1") ? one(name(code, BigDecimal.ONE)) : number(whole);
        if (part.equals("0")) {
            return said + " " + name(code, new BigDecimal(whole));
        }
        return whole.equals("0") && "EUR".equals(code)
                ? (part.equals("1") ? one(CENTS.get(language)) : number(part)) + " " + CENTS.get(language)
                : said + " " + name(code, new BigDecimal(whole)) + AND_CENTS.get(language) + number(part);
    }

    private String name(String code, BigDecimal amount) {
        return Currency.getInstance(code)
                .getName(
                        locale,
                        Currency.PLURAL_LONG_NAME,
                        amount.compareTo(BigDecimal.ONE) == 0 ? "one" : "other",
                        new boolean[1]);
    }
}
