package org.logophon.core.text.normalization;

import com.ibm.icu.util.ULocale;
import java.util.regex.Pattern;

/**
 * Numbers as English says them. British English says "and" before the tens ("two hundred and five"), American leaves it
 * out (New Hart's Rules, 2nd ed., and The Chicago Manual of Style, 17th ed., by memory 11.1 and 9.5: the clauses are
 * unverified).
 *
 * @param british false for American
 */
record English(boolean british, Spellout spellout, Measures measures) {

    private static final Pattern GROUPING = Pattern.compile("[, \u00A0\u202F'’]");
    /** Rules are costly to read: one of each dialect serves all. */
    private static final English BRITISH = new English(true, new Spellout(ULocale.ENGLISH), new Measures(ULocale.UK));

    private static final English AMERICAN = new English(false, BRITISH.spellout, new Measures(ULocale.US));

    static English of(ULocale locale) {
        return "US".equals(locale.getCountry()) ? AMERICAN : BRITISH;
    }

    /** Figures with thousands commas, a decimal point and a sign. */
    String cardinal(String figures) {
        String sign = figures.startsWith("-") || figures.startsWith("−")
                ? "minus "
                : figures.startsWith("+") ? "plus " : figures.startsWith("±") ? "plus or minus " : "";
        String plain =
                GROUPING.matcher(figures.substring(sign.isEmpty() ? 0 : 1)).replaceAll("");
        int point = plain.indexOf('.');
        if (point >= 0) {
            String whole = point == 0 ? "" : whole(plain.substring(0, point)) + " ";
            return sign + whole + "point " + digits(plain.substring(point + 1));
        }
        return sign + whole(plain);
    }

    private String whole(String digits) {
        return digits.length() > 1 && digits.startsWith("0")
                ? digits(digits)
                : spellout.say(digits, british ? "%spellout-cardinal-verbose" : "%spellout-cardinal");
    }

    String digits(String figures) {
        return spellout.digits(figures, "%spellout-cardinal");
    }

    String ordinal(String figures) {
        return spellout.say(figures.replace(",", ""), british ? "%spellout-ordinal-verbose" : "%spellout-ordinal");
    }

    /** 1905 is nineteen oh five; 2005 two thousand and five (British) or two thousand five. */
    String year(String figures) {
        int year = Integer.parseInt(figures);
        if (year < 1000 || year >= 2000 && year < 2010) {
            return cardinal(figures);
        }
        return spellout.say(figures, "%spellout-numbering-year").replace("oh-", "oh ");
    }

    /** 90 → nineties. */
    static String plural(String number) {
        return number.endsWith("y")
                ? number.substring(0, number.length() - 1) + "ies"
                : number + (number.endsWith("x") ? "es" : "s");
    }
}
