package org.logophon.core.text.normalization;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Dates. British English says the day first and with its article, American the month first (New Hart's Rules and The
 * Chicago Manual of Style, by memory 11.5 and 9.31: the clauses are unverified); all-figure dates are day first in
 * Britain, month first in America; ISO 8601 is year first everywhere.
 */
final class Dates {

    private static final List<String> MONTHS = List.of(
            "January",
            "February",
            "March",
            "April",
            "May",
            "June",
            "July",
            "August",
            "September",
            "October",
            "November",
            "December");
    private static final String MONTH =
            "(January|February|March|April|May|June|July|August|September|October|November|December|"
                    + "Jan\\.?|Feb\\.?|Mar\\.?|Apr\\.?|Jun\\.?|Jul\\.?|Aug\\.?|Sept?\\.?|Oct\\.?|Nov\\.?|Dec\\.?)";
    private static final String YEAR = "(1\\d{3}|20\\d{2})";
    private static final String EDGE = "(?![\\p{L}\\p{N}])";
    private static final Map<String, String> WEEKDAYS = Map.of(
            "Mon",
            "Monday",
            "Tue",
            "Tuesday",
            "Tues",
            "Tuesday",
            "Wed",
            "Wednesday",
            "Thu",
            "Thursday",
            "Thurs",
            "Thursday",
            "Fri",
            "Friday",
            "Sat",
            "Saturday",
            "Sun",
            "Sunday");

    private final English english;

    private Dates(English english) {
        this.english = english;
    }

    static List<Rule> rules(English english) {
        Dates dates = new Dates(english);
        String day = "(\\d{1,2})(?:st|nd|rd|th)?";
        return List.of(
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\w/.-])" + YEAR + "-(\\d{2})-(\\d{2})(?![\\w/]|-\\d)",
                        m -> dates.ordered(m.group(3), m.group(2), m.group(1))),
                Rule.of(
                                FormKind.DATE,
                                "(?<![\\w/.-])(?!0?(\\d{1,2})[/.-]0?\\1[/.-])(0?[1-9]|1[0-2])([/.-])(0?[1-9]|1[0-2])\\3(\\d{4}|\\d{2})(?![\\w/]|[.-]\\d)",
                                m -> dates.figures(m.group(2), m.group(4), m.group(5)))
                        .asking(),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\w/.-])(\\d{1,2})([/.-])(\\d{1,2})\\2(\\d{4}|\\d{2})(?![\\w/]|[.-]\\d)",
                        m -> dates.figures(m.group(1), m.group(3), m.group(4))),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\w.,/])" + day + "(?: of)? " + MONTH + ",? " + YEAR + EDGE,
                        m -> dates.dayFirst(m.group(1), m.group(2), m.group(3))),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\p{L}\\p{N}])" + MONTH + " " + day + ",? " + YEAR + EDGE,
                        m -> dates.monthFirst(m.group(2), m.group(1), m.group(3))),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\w.,/])" + day + "(?: of)? " + MONTH + EDGE,
                        m -> dates.dayFirst(m.group(1), m.group(2), null)),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\p{L}\\p{N}])" + MONTH + " " + day + "(?![\\p{L}\\p{N}:%°]|[.,]\\d|[–-]\\d)",
                        m -> dates.monthFirst(m.group(2), m.group(1), null)),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\p{L}\\p{N}])" + MONTH + ",? " + YEAR + EDGE,
                        m -> List.of(month(m.group(1)) + " " + english.year(m.group(2)))),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\w.,])(1[1-9]|20)(\\d)0['’]?s" + EDGE,
                        m -> dates.decade(m.group(1), m.group(2))),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\w.,])['’]?([2-9]0)['’]?s" + EDGE,
                        m -> List.of(English.plural(english.cardinal(m.group(1))))),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\w])['’](\\d{2})" + EDGE,
                        m -> List.of(
                                m.group(1).startsWith("0")
                                        ? "oh " + english.cardinal(m.group(1).substring(1))
                                        : english.cardinal(m.group(1)))),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\p{L}\\p{N}])(Mon|Tues?|Wed|Thu(?:rs)?|Fri|Sat|Sun)[–-](Mon|Tues?|Wed|Thu(?:rs)?|Fri|Sat|Sun)"
                                + EDGE,
                        m -> List.of(WEEKDAYS.get(m.group(1)) + " to " + WEEKDAYS.get(m.group(2)))),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\p{L}\\p{N}.,£$€])(AD|CE) (\\d{1,4})" + EDGE,
                        m -> List.of(Letters.spaced(m.group(1)) + " " + english.year(m.group(2)))),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\p{L}\\p{N}.,£$€])(\\d{1,4}) ?(AD|BC|BCE|CE|B\\.C\\.|A\\.D\\.)(?![\\p{L}\\p{N}])",
                        m -> List.of(english.year(m.group(1)) + " " + Letters.spaced(m.group(2)))),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\p{L}\\p{N}])(?:circa |ca?\\. ?)" + YEAR + EDGE,
                        m -> List.of("circa " + english.year(m.group(1)))),
                Rule.of(
                        FormKind.DATE,
                        "(?<![\\w.,£$€/:+–×-])(1[1-9]\\d{2}|20\\d{2})(?![\\w%°/:×]| ?[–-] ?\\d|[.,]\\d| ?(?:"
                                + Measures.pattern(true) + ")(?![\\p{L}\\p{N}]))",
                        m -> List.of(english.year(m.group(1)), english.cardinal(m.group(1)))));
    }

    private List<String> figures(String first, String second, String year) {
        boolean dayFirst = english.british() ? Integer.parseInt(second) <= 12 : Integer.parseInt(first) > 12;
        List<String> likely = ordered(dayFirst ? first : second, dayFirst ? second : first, year);
        List<String> other = ordered(dayFirst ? second : first, dayFirst ? first : second, year);
        List<String> both = new ArrayList<>(likely);
        other.stream().filter(said -> !both.contains(said)).limit(1).forEach(both::add);
        return both;
    }

    private List<String> ordered(String day, String month, String year) {
        int number = Integer.parseInt(month);
        if (number < 1 || number > 12) {
            return List.of();
        }
        String name = MONTHS.get(number - 1);
        return english.british() ? dayFirst(day, name, full(year)) : monthFirst(day, name, full(year));
    }

    private static String full(String year) {
        return year.length() == 4 ? year : (Integer.parseInt(year) < 50 ? "20" : "19") + year;
    }

    private List<String> dayFirst(String day, String month, String year) {
        return said(day, month, year, english.british());
    }

    private List<String> monthFirst(String day, String month, String year) {
        return said(day, month, year, false);
    }

    /** The dialect's own order first, the other one offered. */
    private List<String> said(String day, String month, String year, boolean dayFirst) {
        int number = Integer.parseInt(day);
        if (number < 1 || number > 31) {
            return List.of();
        }
        String ordinal = english.ordinal(Integer.toString(number));
        String in = year == null ? "" : " " + english.year(year);
        String british = "the " + ordinal + " of " + month(month) + in;
        String american = month(month) + (english.british() ? " the " : " ") + ordinal + in;
        return dayFirst ? List.of(british, american) : List.of(american, british);
    }

    private List<String> decade(String century, String ten) {
        String first = english.cardinal(century);
        if (ten.equals("0")) {
            return List.of(century.equals("20") ? "two thousands" : first + " hundreds");
        }
        String tens = ten.equals("1") ? "tens" : English.plural(english.cardinal(ten + "0"));
        return List.of(first + " " + tens);
    }

    private static String month(String written) {
        String start = written.substring(0, 3).toLowerCase(Locale.ROOT);
        return MONTHS.stream()
                .filter(name -> name.toLowerCase(Locale.ROOT).startsWith(start))
                .findFirst()
                .orElse(written);
    }
}
