package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.logophon.core.text.script.Sentences;

/**
 * Cuts a text that is longer than its voice takes in one request: at the ends of sentences, else at a clause, else at a
 * word.
 */
final class RequestCuts {

    private RequestCuts() {}

    /**
     * A piece of a spoken text.
     *
     * @param from  its first code point in the whole
     * @param joint what stands between the piece before and this one
     */
    record RequestPart(SpokenText text, int from, BoundaryType joint) {}

    /**
     * @param most     characters of one request, as its service counts them: code points
     * @param language BCP 47 tag, for the ends of sentences
     * @return pieces that hold every letter of the text, in order
     */
    static List<RequestPart> cut(SpokenText text, int most, String language) {
        int[] points = text.text().codePoints().toArray();
        List<RequestPart> pieces = new ArrayList<>();
        BoundaryType joint = BoundaryType.SENTENCE;
        int from = start(points, 0);
        while (from < points.length) {
            if (points.length - from <= most) {
                pieces.add(piece(text, points, from, points.length, joint));
                break;
            }
            Cut cut = next(points, from, most, language);
            pieces.add(piece(text, points, from, cut.at(), joint));
            joint = cut.joint();
            from = start(points, cut.at());
        }
        return pieces;
    }

    private record Cut(int at, BoundaryType joint) {}

    private static Cut next(int[] points, int from, int most, String language) {
        String rest = new String(points, from, points.length - from);
        int sentence = last(rest, Sentences.ends(rest, language), most);
        if (sentence > 0) {
            return new Cut(from + sentence, BoundaryType.SENTENCE);
        }
        int clause = last(rest, Sentences.clauseEnds(rest), most);
        if (clause > 0) {
            return new Cut(from + clause, BoundaryType.CLAUSE);
        }
        int word = most;
        while (word > 0 && points[from + word - 1] != ' ') {
            word--;
        }
        return new Cut(from + (word > 0 ? word : most), BoundaryType.WORD);
    }

    /** The last end that lies within the limit, in code points; 0 when none does. A space at an end may hang over. */
    private static int last(String text, List<Integer> ends, int most) {
        int last = 0;
        for (int end : ends) {
            int length = text.codePointCount(0, end);
            if (length - (text.charAt(end - 1) == ' ' ? 1 : 0) <= most) {
                last = Math.min(length, most);
            }
        }
        return last;
    }

    private static int start(int[] points, int from) {
        int at = from;
        while (at < points.length && points[at] == ' ') {
            at++;
        }
        return at;
    }

    private static RequestPart piece(SpokenText whole, int[] points, int from, int to, BoundaryType joint) {
        return new RequestPart(
                new SpokenText(new String(points, from, to - from), Arrays.copyOfRange(whole.written(), from, to)),
                from,
                joint);
    }
}
