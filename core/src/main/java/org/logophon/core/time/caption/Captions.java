package org.logophon.core.time.caption;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.finish.Clip.TimedWord;

/**
 * Cuts a cue's text into captions along its word times: two lines of 42 characters at most, 1 to 7 seconds, 20
 * characters a second at most, two frames between captions that would touch; breaks at sentences, then clauses, then
 * before a small word that opens a phrase. Of all ways to cut, the one that breaks the fewest of these, and then reads
 * best, is found by dynamic programming. The figures are common practice, no source.
 */
public final class Captions {

    static final int LINE = 42;
    static final long SHORTEST_MILLIS = 1_000;
    static final long LONGEST_MILLIS = 7_000;
    static final int CHARACTERS_PER_SECOND = 20;

    private static final int LINES = 2;
    private static final int FRAMES_APART = 2;
    private static final double BROKEN = 100_000;
    private static final double EACH = 4;
    private static final int ORPHAN_CHARACTERS = 14;
    private static final double ORPHAN = 60;
    private static final double SENTENCE_CUT_IN = 7;

    private final Breaks breaks;
    private final List<TimedWord> words;
    private final double start;
    private final double until;
    private final double apart;

    private Captions(String text, List<TimedWord> words, Place place) {
        this.breaks = new Breaks(text, words, place.language());
        this.words = words;
        this.start = place.start().seconds();
        this.until = place.until().seconds();
        this.apart = FRAMES_APART * place.frameSeconds();
    }

    /**
     * Where a cue stands.
     *
     * @param start        of its clip in the programme
     * @param until        where the next clip starts: no caption lasts beyond it
     * @param frameSeconds of the picture
     * @param language     BCP 47; empty for unknown
     */
    public record Place(SampleCount start, SampleCount until, double frameSeconds, String language) {}

    /** @param words every written word of the text, timed from the clip's start */
    public static List<Caption> of(String text, List<TimedWord> words, Place place, String speaker) {
        return words.isEmpty() ? List.of() : new Captions(text, words, place).cut(speaker);
    }

    private List<Caption> cut(String speaker) {
        int count = words.size();
        double[] cost = new double[count + 1];
        int[] from = new int[count + 1];
        for (int end = 1; end <= count; end++) {
            cost[end] = Double.MAX_VALUE;
            for (int first = end - 1; first >= 0; first--) {
                List<String> lines = breaks.lines(first, end - 1, LINE);
                boolean fits = lines.size() <= LINES && spoken(first, end - 1) * 1_000 <= LONGEST_MILLIS;
                if (!fits && first < end - 1) {
                    break;
                }
                double whole = cost[first] + cost(first, end - 1, lines);
                if (whole < cost[end]) {
                    cost[end] = whole;
                    from[end] = first;
                }
            }
        }
        List<Caption> captions = new ArrayList<>();
        for (int end = count; end > 0; end = from[end]) {
            int first = from[end];
            captions.add(
                    0,
                    new Caption(
                            Math.round(begin(first) * 1_000),
                            Math.round(end(first, end - 1) * 1_000),
                            breaks.lines(first, end - 1, LINE),
                            speaker));
        }
        return captions;
    }

    private double begin(int first) {
        return start + words.get(first).startSeconds();
    }

    private double spoken(int first, int last) {
        return words.get(last).endSeconds() - words.get(first).startSeconds();
    }

    /** As long as it is spoken, longer where it takes longer to read and there is room; not into the next one. */
    private double end(int first, int last) {
        double from = begin(first);
        double readable = Math.max(
                SHORTEST_MILLIS / 1_000.0, breaks.piece(first, last).length() / (double) CHARACTERS_PER_SECOND);
        boolean more = last + 1 < words.size();
        double limit = more ? start + words.get(last + 1).startSeconds() - apart : until - apart;
        double wanted = Math.max(start + words.get(last).endSeconds(), from + readable);
        // a word never gets less than half of itself for the sake of the gap
        double least = Math.min(from + spoken(first, last) / 2, more ? Double.MAX_VALUE : until);
        return Math.max(
                Math.min(wanted, Math.min(limit, from + LONGEST_MILLIS / 1_000.0)), Math.max(least, from + 0.001));
    }

    private double cost(int first, int last, List<String> lines) {
        double shown = end(first, last) - begin(first);
        int characters = breaks.piece(first, last).length();
        double cost = EACH + breaks.after(last);
        if (lines.size() > LINES) {
            cost += BROKEN;
        }
        if (shown * 1_000 < SHORTEST_MILLIS - 1) {
            cost += BROKEN + (1 - shown) * 100;
        }
        double quick = characters / shown - CHARACTERS_PER_SECOND;
        if (quick > 0.01) {
            cost += BROKEN + quick * 20;
        }
        boolean sentence =
                (first == 0 || breaks.after(first - 1) == Breaks.SENTENCE) && breaks.after(last) == Breaks.SENTENCE;
        if (!sentence && characters <= ORPHAN_CHARACTERS) {
            cost += ORPHAN;
        }
        for (int i = first; i < last; i++) {
            cost += breaks.after(i) == Breaks.SENTENCE ? SENTENCE_CUT_IN : 0;
        }
        if (lines.size() == LINES) {
            String upper = lines.get(0);
            cost += Math.max(0, upper.length() - lines.get(1).length()) * 0.05;
        }
        return cost;
    }
}
