package org.logophon.core.text.script;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UCharacterCategory;
import com.ibm.icu.lang.UScript;
import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.List;

/**
 * The finder of a text's words: word boundaries of Unicode UAX #29, joined again where a reader sees one word, so
 * that {@code 4:52}, {@code north-west} and {@code £38,500} are one word each. In scripts written without spaces
 * (Chinese, Japanese, Thai and their like) the boundaries stand as UAX #29 and its dictionaries give them.
 */
public final class Words {

    private Words() {}

    public static List<Word> of(String text) {
        List<Word> words = new ArrayList<>();
        BreakIterator boundaries = BreakIterator.getWordInstance(ULocale.ROOT);
        boundaries.setText(text);
        int start = boundaries.first();
        for (int end = boundaries.next(); end != BreakIterator.DONE; start = end, end = boundaries.next()) {
            if (isSpoken(text, start, end)) {
                append(words, text, start, end);
            }
        }
        return List.copyOf(words);
    }

    public static int count(String text) {
        return of(text).size();
    }

    private static void append(List<Word> words, String text, int start, int end) {
        int from = reachBack(
                text, start, words.isEmpty() ? 0 : words.get(words.size() - 1).end());
        int to = reachOn(text, end);
        if (!words.isEmpty()) {
            Word before = words.get(words.size() - 1);
            if (joined(text, before.end(), from) && spaced(text, before.start()) && spaced(text, start)) {
                words.set(words.size() - 1, new Word(before.start(), to));
                return;
            }
        }
        words.add(new Word(from, to));
    }

    /** True where nothing but marks that tie words together (hyphen, colon, slash…) stands between two pieces. */
    private static boolean joined(String text, int end, int start) {
        if (start - end > 2) {
            return false;
        }
        for (int i = end; i < start; i++) {
            if ("-‐‑:/@.'’_+&,".indexOf(text.charAt(i)) < 0) {
                return false;
            }
        }
        return true;
    }

    /** Symbols that are read with the word they touch: a currency sign before, a per cent or degree sign after. */
    private static int reachBack(String text, int start, int floor) {
        int from = start;
        while (from > floor && isSymbol(text.codePointBefore(from))) {
            from -= Character.charCount(text.codePointBefore(from));
        }
        return from;
    }

    private static int reachOn(String text, int end) {
        int to = end;
        while (to < text.length() && isSymbol(text.codePointAt(to))) {
            to += Character.charCount(text.codePointAt(to));
        }
        return to;
    }

    private static boolean isSymbol(int codePoint) {
        return UCharacter.getType(codePoint) == UCharacterCategory.CURRENCY_SYMBOL || "%‰°#+=".indexOf(codePoint) >= 0;
    }

    private static boolean isSpoken(String text, int start, int end) {
        return text.substring(start, end).codePoints().anyMatch(UCharacter::isLetterOrDigit);
    }

    private static boolean spaced(String text, int at) {
        return switch (UScript.getScript(text.codePointAt(at))) {
            case UScript.HAN,
                    UScript.HIRAGANA,
                    UScript.KATAKANA,
                    UScript.THAI,
                    UScript.LAO,
                    UScript.KHMER,
                    UScript.MYANMAR -> false;
            default -> true;
        };
    }
}
