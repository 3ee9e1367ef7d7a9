package org.logophon.core.text.script;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The finder of quotations inside a text, by the quotation marks of Unicode (CLDR, delimiters, gives each language's
 * pair).
 */
public final class Quotations {

    /** Opening mark to closing marks. A straight mark closes itself; German closes with what English opens with. */
    private static final Map<Character, String> PAIRS = Map.of(
            '“', "”", '„', "“”", '«', "»", '»', "«", '‹', "›", '"', "\"", '‘', "’", '‚', "‘’", '「', "」", '『', "』");

    private Quotations() {}

    /**
     * What stands between quotation marks, without them: from its first word to its last. What stands inside another
     * quotation belongs to that. A mark that nothing closes opens nothing.
     */
    public static List<Word> of(String text) {
        List<Word> words = Words.of(text);
        List<Word> found = new ArrayList<>();
        int at = 0;
        while (at < text.length()) {
            String closing = PAIRS.get(text.charAt(at));
            int end = closing == null || !opens(text, at) ? -1 : end(text, at + 1, closing);
            if (end < 0) {
                at++;
                continue;
            }
            int from = at;
            List<Word> inside = words.stream()
                    .filter(word -> word.start() > from && word.end() <= end)
                    .toList();
            if (!inside.isEmpty()) {
                found.add(new Word(
                        inside.get(0).start(), inside.get(inside.size() - 1).end()));
            }
            at = end + 1;
        }
        return List.copyOf(found);
    }

    /** After a letter or a figure it is an apostrophe, an inch or a closing mark. */
    private static boolean opens(String text, int at) {
        return at == 0 || !Character.isLetterOrDigit(text.charAt(at - 1));
    }

    /** @return −1 when nothing closes it */
    private static int end(String text, int from, String closing) {
        for (int i = from; i < text.length(); i++) {
            // ’ between letters is an apostrophe
            boolean apostrophe = text.charAt(i) == '’'
                    && i + 1 < text.length()
                    && Character.isLetterOrDigit(text.charAt(i - 1))
                    && Character.isLetterOrDigit(text.charAt(i + 1));
            if (closing.indexOf(text.charAt(i)) >= 0 && !apostrophe) {
                return i;
            }
        }
        return -1;
    }
}
