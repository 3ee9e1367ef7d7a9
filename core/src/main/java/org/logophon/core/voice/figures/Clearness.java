package org.logophon.core.voice.figures;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * The clearness of a voice: the share of the words of a passage that an independent recogniser finds, in their order.
 *
 * @param found words that were found
 * @param of    words that were read
 */
public record Clearness(int found, int of) {

    public Clearness {
        if (of <= 0 || found < 0 || found > of) {
            throw new IllegalArgumentException(found + " of " + of + " words");
        }
    }

    /**
     * Compares what was read with what was heard: the longest common subsequence of their words, so that a word that is
     * missed, put in or taken for another costs itself alone.
     */
    public static Clearness of(String read, String heard) {
        List<String> ours = words(read);
        List<String> theirs = words(heard);
        int[] row = new int[theirs.size() + 1];
        for (String word : ours) {
            int diagonal = 0;
            for (int i = 1; i <= theirs.size(); i++) {
                int above = row[i];
                row[i] = word.equals(theirs.get(i - 1)) ? diagonal + 1 : Math.max(above, row[i - 1]);
                diagonal = above;
            }
        }
        return new Clearness(row[theirs.size()], ours.size());
    }

    private static List<String> words(String text) {
        return Arrays.stream(text.toLowerCase(Locale.ROOT).split("[^a-z']+"))
                .filter(word -> !word.isEmpty())
                .toList();
    }

    /** Rounded, for people. */
    public int percent() {
        return Math.round(100f * found / of);
    }

    public double missedPercent() {
        return 100.0 * (of - found) / of;
    }
}
