package org.logophon.core.time.caption;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.finish.Clip.TimedWord;

/**
 * Times for the words of a text that readers see instead of the spoken one: a word that is spoken keeps its time,
 * others share the time between those.
 */
public final class CaptionWords {

    private CaptionWords() {}

    /** @param spoken words of the text that is spoken, timed. @param shown what readers see */
    public static List<TimedWord> of(String text, List<TimedWord> spoken, String shown) {
        List<Word> words = Words.of(shown);
        if (spoken.isEmpty() || words.isEmpty()) {
            return List.of();
        }
        int[] same = same(text, spoken, shown, words);
        List<TimedWord> timed = new ArrayList<>();
        int at = 0;
        while (at < words.size()) {
            if (same[at] >= 0) {
                TimedWord known = spoken.get(same[at]);
                timed.add(new TimedWord(
                        words.get(at).start(), words.get(at).end(), known.startSeconds(), known.endSeconds()));
                at++;
                continue;
            }
            int end = at;
            while (end < words.size() && same[end] < 0) {
                end++;
            }
            double from =
                    at == 0 ? spoken.get(0).startSeconds() : timed.get(at - 1).endSeconds();
            double to = end == words.size()
                    ? spoken.get(spoken.size() - 1).endSeconds()
                    : spoken.get(same[end]).startSeconds();
            share(words.subList(at, end), from, Math.max(from, to), timed);
            at = end;
        }
        return timed;
    }

    private static void share(List<Word> words, double from, double to, List<TimedWord> timed) {
        int letters = words.stream().mapToInt(word -> word.end() - word.start()).sum();
        double at = from;
        for (Word word : words) {
            double end = at + (to - from) * (word.end() - word.start()) / letters;
            timed.add(new TimedWord(word.start(), word.end(), at, end));
            at = end;
        }
    }

    /** For each shown word the spoken one that it is, by a longest common run of words; −1 for none. */
    private static int[] same(String text, List<TimedWord> spoken, String shown, List<Word> words) {
        int[][] longest = new int[words.size() + 1][spoken.size() + 1];
        for (int i = words.size() - 1; i >= 0; i--) {
            for (int j = spoken.size() - 1; j >= 0; j--) {
                longest[i][j] = alike(shown, words.get(i), text, spoken.get(j))
                        ? longest[i + 1][j + 1] + 1
                        : Math.max(longest[i + 1][j], longest[i][j + 1]);
            }
        }
        int[] same = new int[words.size()];
        int j = 0;
        for (int i = 0; i < same.length; i++) {
            same[i] = -1;
            while (j < spoken.size() && longest[i][j] == longest[i][j + 1] && longest[i][j] > longest[i + 1][j]) {
                j++;
            }
            if (j < spoken.size()
                    && alike(shown, words.get(i), text, spoken.get(j))
                    && longest[i][j] == longest[i + 1][j + 1] + 1) {
                same[i] = j++;
            }
        }
        return same;
    }

    private static boolean alike(String shown, Word word, String text, TimedWord spoken) {
        return word.in(shown)
                .toLowerCase(Locale.ROOT)
                .equals(text.substring(spoken.start(), spoken.end()).toLowerCase(Locale.ROOT));
    }
}
