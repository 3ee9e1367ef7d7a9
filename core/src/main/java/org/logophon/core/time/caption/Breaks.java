package org.logophon.core.time.caption;

import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.logophon.core.voice.finish.Clip.TimedWord;

/** The scores of line breaks after each word of a text, and what a run of its words looks like. */
final class Breaks {

    static final double SENTENCE = 0;
    static final double CLAUSE = 2;
    static final double PHRASE = 5;
    static final double PLAIN = 8;
    static final double BAD = 40;

    private static final Pattern SENTENCE_END = Pattern.compile("(?s).*[.!?…。！？].*");
    private static final Pattern CLAUSE_END = Pattern.compile("(?s).*[,;:–—)、，].*");
    private static final Pattern NUMBER = Pattern.compile(".*\\d");
    private static final Pattern UNIT = Pattern.compile("[\\p{L}°%µ]{1,4}|\\p{Lu}[\\p{L}.]*|\\d.*");

    private final String text;
    private final List<TimedWord> words;
    private final double[] after;

    Breaks(String text, List<TimedWord> words, String language) {
        this.text = text;
        this.words = words;
        this.after = new double[words.size()];
        BreakWords small = BreakWords.of(language);
        for (int i = 0; i < after.length; i++) {
            after[i] = cost(i, small);
        }
    }

    /** Cost of a break after a word: 0 at the end of a sentence. */
    double after(int word) {
        return after[word];
    }

    private double cost(int i, BreakWords small) {
        String between = between(i);
        if (i + 1 == words.size() || SENTENCE_END.matcher(between).matches()) {
            return SENTENCE;
        }
        String word = word(i);
        String next = word(i + 1);
        // a number keeps its unit or its month, and a number that goes on
        if (NUMBER.matcher(word).matches()
                && UNIT.matcher(next).matches()
                && !small.openers().contains(next.toLowerCase(Locale.ROOT))) {
            return BAD;
        }
        if (CLAUSE_END.matcher(between).matches()) {
            return CLAUSE;
        }
        if (!between.contains(" ") || small.holders().contains(word.toLowerCase(Locale.ROOT))) {
            return BAD;
        }
        return small.openers().contains(next.toLowerCase(Locale.ROOT)) ? PHRASE : PLAIN;
    }

    private String word(int i) {
        return text.substring(words.get(i).start(), words.get(i).end());
    }

    private String between(int i) {
        return text.substring(
                words.get(i).end(), i + 1 < words.size() ? words.get(i + 1).start() : text.length());
    }

    /** The written text of a run of words with its punctuation. @param last inclusive */
    String piece(int first, int last) {
        int from = first == 0
                ? 0
                : boundary(words.get(first - 1).end(), words.get(first).start());
        int to = last + 1 < words.size()
                ? boundary(words.get(last).end(), words.get(last + 1).start())
                : text.length();
        return text.substring(from, to).strip();
    }

    /** Between two words a piece ends at the last space; opening quotes stay with the word they open. */
    private int boundary(int from, int to) {
        int space = text.substring(from, to).lastIndexOf(' ');
        return space < 0 ? to : from + space;
    }

    /**
     * The lines of a run: one where it fits, else two that break where it reads best.
     *
     * @return more than two, or one that is too long, where nothing else can be
     */
    List<String> lines(int first, int last, int most) {
        String whole = piece(first, last);
        if (whole.length() <= most) {
            return List.of(whole);
        }
        double best = Double.MAX_VALUE;
        List<String> lines = null;
        for (int cut = first; cut < last; cut++) {
            String upper = piece(first, cut);
            String lower = piece(cut + 1, last);
            if (upper.length() > most || lower.length() > most) {
                continue;
            }
            double cost = after[cut]
                    + Math.abs(upper.length() - lower.length()) * 0.3
                    + Math.max(0, upper.length() - lower.length()) * 0.2;
            if (cost < best) {
                best = cost;
                lines = List.of(upper, lower);
            }
        }
        return lines == null ? LongWords.lines(whole, most) : lines;
    }
}
