package org.logophon.core.text.normalization;

import com.ibm.icu.text.DateFormatSymbols;
import com.ibm.icu.text.DecimalFormatSymbols;
import com.ibm.icu.util.ULocale;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What CLDR gives for any language: numbers, ordinals, years, dates with names of months, times, units and per cent.
 */
final class OtherLanguage {

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
        List<Rule> rules = new ArrayList<>(List.of(
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\w.])(\\d{4})-(\\d{2})-(\\d{2})(?!\\w)",
                        m -> language.date(m.group(3), m.group(2), m.group(1), wide)),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\w.])(\\d{1,2})[./](\\d{1,2})[./](\\d{4})(?!\\w)",
                        m -> language.date(m.group(1), m.group(2), m.group(3), wide)),
                Rule.of(
                        FormKind.DATE,
                        "(?iu)(?<![\\w.])(\\d{1,2})(\\.|er|º)? (?:de )?(" + months
                                + ")(?: (?:de )?(\\d{4}))?(?![\\p{L}\\p{N}])",
                        m -> List.of(language.day(m.group(1), m.group(3), m.group(4)))),
                Rule.of(
                        FormKind.TIME,
                        "(?<![\\w.:])(\\d{1,2})[:h](\\d{2})(?: Uhr)?(?![\\w:])",
                        m -> language.time(m.group(1), m.group(2))),
                Rule.of(
                        FormKind.UNIT,
                        "(?<![\\w.,])" + number + "[ \u00A0]?(" + Measures.pattern(false) + ")(?![\\p{L}\\p{N}])",
                        m -> List.of(language.number(m.group(1)) + " "
                                + language.measures.name(m.group(2), language.amount(m.group(1))))),
                Rule.of(
                        FormKind.MONEY,
                        "(?<![\\w.,])(?:([€£$]) ?" + number + "|" + number + "[ \u00A0]?([€£$]))(?![\\p{L}\\p{N}])",
                        m -> List.of(language.money(
                                m.group(1) == null ? m.group(4) : m.group(1),
                                m.group(2) == null ? m.group(3) : m.group(2)))),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\w.,])(1[1-9]\\d{2}|20\\d{2})(?![\\w]|[.,]\\d)",
                        m -> List.of(language.spellout.say(m.group(1), "%spellout-numbering-year")))));
        rules.add(
                switch (locale.getLanguage()) {
                    case "fr" ->
                        Rule.of(
                                FormKind.ORDINAL,
                                "(?<![\\w.,])(\\d{1,9})(er|re|e|ème)(?!\\w)",
                                m -> List.of(
                                        language.ordinal(m.group(1), m.group(2).equals("re"))));
                    case "es" ->
                        Rule.of(
                                FormKind.ORDINAL,
                                "(?<![\\w.,])(\\d{1,9})\\.?(º|ª|er)(?!\\w)",
                                m -> List.of(
                                        language.ordinal(m.group(1), m.group(2).equals("ª"))));
                    default ->
                        Rule.of(
                                FormKind.ORDINAL,
                                "(?<![\\w.,])(\\d{1,3})\\.(?= \\p{L})",
                                m -> List.of(language.ordinal(m.group(1), false)));
                });
        rules.add(Rule.of(
                FormKind.NUMBER,
                "(?<![\\w.,])" + number + "(?![\\p{L}\\p{N}]|[.,]\\d)",
                m -> List.of(language.number(m.group(1)))));
        return rules;
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

    private String pointWord() {
        return switch (locale.getLanguage()) {
            case "de" -> "Komma";
            case "fr" -> "virgule";
            case "es" -> "coma";
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

    private List<String> date(String day, String month, String year, String[] months) {
        int number = Integer.parseInt(month);
        return number < 1 || number > 12 || Integer.parseInt(day) > 31 || Integer.parseInt(day) < 1
                ? List.of()
                : List.of(day(day, months[number - 1], year));
    }

    /** German says the day as an ordinal, French and Spanish as a number, but for the first. */
    private String day(String day, String month, String year) {
        String figures = Integer.toString(Integer.parseInt(day));
        String name = "de".equals(locale.getLanguage())
                ? spellout.say(figures, "%spellout-ordinal-masculine")
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
                    default -> spellout.say(hour, "%spellout-numbering") + after;
                });
    }

    private String money(String sign, String figures) {
        String code = "€".equals(sign) ? "EUR" : "£".equals(sign) ? "GBP" : "USD";
        String name = com.ibm.icu.util.Currency.getInstance(code)
                .getName(
                        locale,
                        com.ibm.icu.util.Currency.PLURAL_LONG_NAME,
                        amount(figures).compareTo(BigDecimal.ONE) == 0 ? "one" : "other",
                        new boolean[1]);
        return number(figures) + " " + name;
    }
}
