package org.logophon.core.text.normalization;

import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;

/**
 * The finder of a text's written forms: for British and American English by rules of their own, for other languages
 * numbers, ordinals, dates, times, units and acronyms through CLDR.
 */
public final class WrittenForms {

    private static final Map<String, WrittenForms> BY_LANGUAGE = new ConcurrentHashMap<>();
    /** Most cues have nothing to find: one look tells. */
    private static final Pattern WORTH_A_LOOK = Pattern.compile(
            "[\\p{Nd}\\p{No}\\p{Sc}\\p{Sm}\\p{So}&@#§%/~*^_]|\\p{Lu}\\p{Lu}|\\p{Ll}\\p{Lu}|\\p{L}\\.\\p{L}|\\p{L}{1,6}\\.|\\b[IVX]\\b");

    private record Last(String text, List<WrittenForm> forms) {}

    private final List<Rule> rules;
    private final MatchStarts starts;
    private final ThreadLocal<Last> latest = new ThreadLocal<>();

    private WrittenForms(List<Rule> rules) {
        this.rules = List.copyOf(rules);
        this.starts = new MatchStarts(this.rules.stream().map(Rule::pattern).toList());
    }

    /** @param language BCP 47 tag; English that is not American is read the British way */
    public static WrittenForms in(String language) {
        return BY_LANGUAGE.computeIfAbsent(language, WrittenForms::make);
    }

    /**
     * The text with each of its written forms in the words that it is said in first.
     *
     * @param forms found in it, in order
     */
    public static String said(String text, List<WrittenForm> forms) {
        StringBuilder said = new StringBuilder(text.length());
        int from = 0;
        for (WrittenForm form : forms) {
            said.append(text, from, form.start())
                    .append(' ')
                    .append(form.said().get(0))
                    .append(' ');
            from = form.end();
        }
        return said.append(text, from, text.length()).toString();
    }

    /**
     * In the order of the text; no two overlap. What was found last is remembered: counting, timing and proof ask for
     * the same text in turn.
     */
    public List<WrittenForm> find(String text) {
        Last last = latest.get();
        if (last == null || !last.text().equals(text)) {
            last = new Last(text, search(text));
            latest.set(last);
        }
        return last.forms();
    }

    private List<WrittenForm> search(String text) {
        if (!WORTH_A_LOOK.matcher(text).find()) {
            return List.of();
        }
        MatchedSpans taken = new MatchedSpans();
        MatchStarts.Places places = starts.in(text);
        for (int i = 0; i < rules.size(); i++) {
            rules.get(i).find(text, places, i, taken);
        }
        return taken.inOrder();
    }

    private static WrittenForms make(String language) {
        ULocale locale = ULocale.forLanguageTag(language);
        List<Rule> rules = new ArrayList<>();
        if ("en".equals(locale.getLanguage())) {
            English english = English.of(locale);
            // the order decides: a date is no fraction, a unit's number is no year
            rules.addAll(WebAddresses.rules());
            rules.addAll(Versions.rules(english));
            rules.addAll(Telephones.rules(english));
            rules.addAll(Dates.rules(english));
            rules.addAll(Times.rules(english));
            rules.addAll(MixedTokens.pictureHeights(english));
            rules.addAll(Money.rules(english));
            rules.addAll(Fractions.rules(english));
            rules.addAll(Units.rules(english));
            rules.addAll(Ordinals.rules(english));
            rules.addAll(Ranges.rules(english));
            rules.addAll(RomanNumerals.rules(english));
            rules.addAll(Abbreviations.rules(english));
            rules.addAll(Numbers.powers(english));
            rules.addAll(Acronyms.rules(locale));
            rules.addAll(MixedTokens.rules(english));
            rules.addAll(Numbers.rules(english));
            rules.addAll(Symbols.rules());
        } else {
            rules.addAll(OtherLanguage.rules(locale));
            rules.addAll(Acronyms.rules(locale));
        }
        return new WrittenForms(rules);
    }
}
