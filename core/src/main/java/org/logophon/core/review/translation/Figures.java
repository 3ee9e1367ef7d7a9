package org.logophon.core.review.translation;

import com.ibm.icu.text.DecimalFormatSymbols;
import com.ibm.icu.text.RuleBasedNumberFormat;
import com.ibm.icu.util.ULocale;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Numbers in figures, as the language of a text writes them: "2.3" and "2,3" are the same number (CLDR, number
 * symbols).
 */
final class Figures {

    private static final Pattern FIGURE =
            Pattern.compile("\\p{Nd}+(?:[.,'’\\u00a0\\u202f\\u2009 ]\\p{Nd}+)*", Pattern.UNICODE_CHARACTER_CLASS);
    private static final int GROUP = 3;

    private Figures() {}

    /** A number and how it is written. */
    record Figure(String written, BigDecimal value) {}

    /** @param language BCP 47 tag */
    static List<Figure> in(String text, String language) {
        DecimalFormatSymbols symbols = DecimalFormatSymbols.getInstance(ULocale.forLanguageTag(language));
        List<Figure> found = new ArrayList<>();
        Matcher figure = FIGURE.matcher(text);
        while (figure.find()) {
            add(figure.group(), symbols, found);
        }
        return found;
    }

    /** One number, or several that stand side by side: "12 30" is two, "12 300" one. */
    private static void add(String written, DecimalFormatSymbols symbols, List<Figure> found) {
        StringBuilder digits = new StringBuilder();
        boolean decimals = false;
        int start = 0;
        for (int i = 0; i < written.length(); i++) {
            char c = written.charAt(i);
            if (Character.isDigit(c)) {
                digits.append(Character.digit(c, 10));
                continue;
            }
            int group = length(written, i + 1);
            if (!decimals && c == symbols.getDecimalSeparator()) {
                digits.append('.');
                decimals = true;
            } else if (decimals || group != GROUP || c == ',' && symbols.getDecimalSeparator() == ',') {
                found.add(new Figure(written.substring(start, i), new BigDecimal(digits.toString())));
                digits.setLength(0);
                decimals = false;
                start = i + 1;
            }
        }
        found.add(new Figure(written.substring(start), new BigDecimal(digits.toString())));
    }

    private static int length(String written, int from) {
        int to = from;
        while (to < written.length() && Character.isDigit(written.charAt(to))) {
            to++;
        }
        return to - from;
    }

    /** A number in words, as the language says it. @return null for one that isn't whole */
    static String words(BigDecimal value, String language) {
        BigDecimal plain = value.stripTrailingZeros();
        if (plain.scale() > 0 || plain.precision() - plain.scale() > 9) {
            return null;
        }
        return new RuleBasedNumberFormat(ULocale.forLanguageTag(language), RuleBasedNumberFormat.SPELLOUT)
                .format(plain.longValue())
                .replace("\u00ad", "")
                .toLowerCase(Locale.ROOT);
    }
}
