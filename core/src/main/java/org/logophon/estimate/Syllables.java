package org.logophon.estimate;

import com.ibm.icu.text.RuleBasedNumberFormat;
import com.ibm.icu.util.ULocale;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.script.Words;

/**
 * Counts the syllables of a text as it would be spoken: figures spelled out by CLDR's rules (ICU4J), capitals letter by
 * letter, other words by their vowel groups. A count for estimating time, not a dictionary: ±1 on an unusual word.
 */
public final class Syllables {

    private static final Pattern VOWELS = Pattern.compile("[aeiouyàáâãäåæèéêëìíîïòóôõöøœùúûüýÿăąēėęīįőōūůűųŵŷ]+");
    /** A last e that English doesn't sound: silent in wrapped and stone, sounded in lifted, table and hundred. */
    private static final Pattern SILENT_END = Pattern.compile("([^aeiouyl]e|[^aeiouytd](?<!dr)ed|[^aeiouyscxzgh]es)$");
    private static final Pattern DIGITS = Pattern.compile("\\d+");

    /** Rules are costly to read and not safe to share between threads. */
    private static final ThreadLocal<Map<String, RuleBasedNumberFormat>> SPELLED = ThreadLocal.withInitial(HashMap::new);

    private Syllables() {
    }

    /** @param language BCP 47 tag that figures are spelled out in */
    public static int of(String text, String language) {
        return Words.of(text).stream().mapToInt(w -> ofWord(w.in(text), language)).sum();
    }

    private static int ofWord(String word, String language) {
        int count = 0;
        Matcher digits = DIGITS.matcher(word.replaceAll("(?<=\\d),(?=\\d{3})", ""));
        StringBuilder letters = new StringBuilder();
        while (digits.find()) {
            count += ofNumber(digits.group(), language);
            digits.appendReplacement(letters, " ");
        }
        digits.appendTail(letters);
        for (String part : letters.toString().split("[^\\p{L}\\p{M}’']+")) {
            if (!part.isEmpty()) {
                count += ofLetters(part);
            }
        }
        return Math.max(1, count);
    }

    private static int ofNumber(String digits, String language) {
        if (digits.length() > 15) {
            return digits.length();
        }
        String spelled = SPELLED.get().computeIfAbsent(language, tag ->
                new RuleBasedNumberFormat(ULocale.forLanguageTag(tag), RuleBasedNumberFormat.SPELLOUT)).format(Long.parseLong(digits));
        int count = 0;
        for (String part : spelled.split("[^\\p{L}\\p{M}]+")) {
            count += part.isEmpty() ? 0 : ofLetters(part);
        }
        return count;
    }

    private static int ofLetters(String word) {
        if (word.length() <= 4 && word.length() > 1 && word.chars().allMatch(Character::isUpperCase)) {
            return word.length() + (int) word.chars().filter(c -> c == 'W').count() * 2;
        }
        String lower = word.toLowerCase(java.util.Locale.ROOT);
        Matcher groups = VOWELS.matcher(lower);
        int count = 0;
        while (groups.find()) {
            count++;
        }
        if (count == 0 && lower.codePoints().noneMatch(c -> c < 0x250)) {
            // writing without Latin vowels: two letters a syllable is the middle of syllabaries and alphabets
            return Math.max(1, lower.codePointCount(0, lower.length()) / 2);
        }
        return count > 1 && SILENT_END.matcher(lower).find() ? count - 1 : Math.max(1, count);
    }
}
