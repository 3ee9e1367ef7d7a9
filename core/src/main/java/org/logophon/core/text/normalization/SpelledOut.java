package org.logophon.core.text.normalization;

import com.ibm.icu.util.ULocale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** The figures of a text spelled out in a language; a text without figures stays as it is. */
public final class SpelledOut {

    private static final Map<String, Spellout> RULES = new ConcurrentHashMap<>();

    private SpelledOut() {}

    public static String digits(String text, String language) {
        String figures = figures(text);
        return figures.isEmpty() ? text : rules(language).digits(figures, "%spellout-numbering", "%spellout-cardinal");
    }

    public static String cardinal(String text, String language) {
        if (isEnglish(language)) {
            return figures(text).isEmpty()
                    ? text
                    : English.of(ULocale.forLanguageTag(language)).cardinal(text.replaceAll("[^0-9.,+−-]", ""));
        }
        return figures(text).isEmpty()
                ? text
                : rules(language).say(figures(text), "%spellout-numbering", "%spellout-cardinal-masculine");
    }

    public static String ordinal(String text, String language) {
        if (figures(text).isEmpty()) {
            return text;
        }
        return isEnglish(language)
                ? English.of(ULocale.forLanguageTag(language)).ordinal(figures(text))
                : rules(language).say(figures(text), "%spellout-ordinal-masculine", "%spellout-ordinal");
    }

    private static boolean isEnglish(String language) {
        return "en".equals(ULocale.forLanguageTag(language).getLanguage());
    }

    private static String figures(String text) {
        return text.replaceAll("[^0-9]", "");
    }

    private static Spellout rules(String language) {
        return RULES.computeIfAbsent(language, tag -> new Spellout(ULocale.forLanguageTag(tag)));
    }
}
