package org.logophon.core.text.estimate;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.text.dictionary.Dictionary;
import org.logophon.core.text.dictionary.Sounds;
import org.logophon.core.text.normalization.WrittenForm;
import org.logophon.core.text.normalization.WrittenForms;

/**
 * Counts the syllables of a text as it would be spoken: written forms (numbers, dates, acronyms…) as they are said,
 * English
 * words by the dictionary, others by their vowel groups. A count for estimating time: ±1 on an unusual word.
 */
public final class Syllables {

    private static final Pattern VOWELS = Pattern.compile("[aeiouyàáâãäåæèéêëìíîïòóôõöøœùúûüýÿăąēėęīįőōūůűųŵŷ]+");
    /** A last e that English doesn't sound: silent in wrapped and stone, sounded in lifted, table and hundred. */
    private static final Pattern SILENT_END = Pattern.compile("([^aeiouyl]e|[^aeiouytd](?<!dr)ed|[^aeiouyscxzgh]es)$");

    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}’']+");

    private Syllables() {}

    /** @param language BCP 47 tag that written forms are said in */
    public static int of(String text, String language) {
        return of(text, language, WrittenForms.in(language).find(text));
    }

    /** @param forms the text's written forms, found before */
    public static int of(String text, String language, List<WrittenForm> forms) {
        String said = WrittenForms.said(text, forms);
        boolean english = language.startsWith("en");
        int count = 0;
        Matcher words = WORD.matcher(said);
        while (words.find()) {
            count += ofWord(words.group(), english);
        }
        return count;
    }

    private static int ofWord(String word, boolean english) {
        if (word.length() == 1) {
            return "W".equalsIgnoreCase(word) && english ? 3 : 1;
        }
        String lower = word.toLowerCase(Locale.ROOT);
        Optional<Sounds> known = english ? Dictionary.english().sounds(lower) : Optional.empty();
        return known.map(Sounds::syllables).orElseGet(() -> byVowels(lower, english));
    }

    private static int byVowels(String lower, boolean english) {
        Matcher groups = VOWELS.matcher(lower);
        int count = 0;
        while (groups.find()) {
            count++;
        }
        if (count == 0 && lower.codePoints().noneMatch(c -> c < 0x250)) {
            // writing without Latin vowels: two letters a syllable is the middle of syllabaries and alphabets
            return Math.max(1, lower.codePointCount(0, lower.length()) / 2);
        }
        return english && count > 1 && SILENT_END.matcher(lower).find() ? count - 1 : Math.max(1, count);
    }
}
