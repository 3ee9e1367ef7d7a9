package org.logophon.core.text.script;

import java.util.List;
import java.util.TreeSet;
import org.logophon.core.text.estimate.ReferenceTime;

/**
 * Splits a text by size: as many whole sentences as fit; a sentence that doesn't fit alone at the last clause that
 * does, else at
 * the last word. No sentence that fits is ever cut.
 */
final class SizeSplitter {

    /**
     * Of the seconds that a cue may have, so many are filled: an estimate is this far off at times, by our own voices.
     */
    private static final double FILLED = 0.97;

    private SizeSplitter() {}

    /**
     * @param ends       gets the index after each piece
     * @param inSentence gets those of them that cut a sentence
     */
    static void ends(
            String text, Splitting splitting, String language, TreeSet<Integer> ends, TreeSet<Integer> inSentence) {
        int pieceStart = 0;
        int last = 0;
        for (int end : Sentences.ends(text, language)) {
            if (fits(text, pieceStart, end, splitting, language)) {
                last = end;
                continue;
            }
            if (last > pieceStart) {
                ends.add(last);
                pieceStart = last;
            }
            while (!fits(text, pieceStart, end, splitting, language)) {
                int cut = cut(text, pieceStart, end, splitting, language);
                if (cut <= pieceStart || cut >= end) {
                    break;
                }
                ends.add(cut);
                inSentence.add(cut);
                pieceStart = cut;
            }
            last = end;
        }
        ends.add(text.length());
    }

    private static int cut(String text, int from, int to, Splitting splitting, String language) {
        int best = lastThatFits(Sentences.clauseEnds(text.substring(from, to)), text, from, splitting, language);
        if (best > from) {
            return best;
        }
        List<Integer> words = Words.of(text.substring(from, to)).stream()
                .skip(1)
                .map(Word::start)
                .toList();
        best = lastThatFits(words, text, from, splitting, language);
        // one word that is longer than the limit stays whole
        return best > from ? best : words.isEmpty() ? to : from + words.get(0);
    }

    private static int lastThatFits(List<Integer> ends, String text, int from, Splitting splitting, String language) {
        int low = 0;
        int high = ends.size();
        while (low < high) {
            int middle = (low + high) / 2;
            if (fits(text, from, from + ends.get(middle), splitting, language)) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low == 0 ? from : from + ends.get(low - 1);
    }

    private static boolean fits(String text, int from, int to, Splitting splitting, String language) {
        String piece = text.substring(from, to).strip();
        return switch (splitting.mode()) {
            case CHARACTERS -> piece.codePointCount(0, piece.length()) <= splitting.limit();
            case WORDS -> Words.count(piece) <= splitting.limit();
            default -> ReferenceTime.seconds(piece, language) * splitting.tempo() <= splitting.limit() * FILLED;
        };
    }
}
