package org.logophon.core.delivery;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.finish.Clip.TimedWord;
import org.logophon.core.programme.SampleCount;

/**
 * Cuts a cue's text into captions along its word times: at most two lines of 42 characters, 1 to 7 seconds, 20
 * characters a second, ending at a sentence or a clause where there is one. The figures are common practice, no source.
 */
public final class Captions {

    static final int LINE = 42;
    static final long SHORTEST_MILLIS = 1_000;
    static final long LONGEST_MILLIS = 7_000;
    static final int CHARACTERS_PER_SECOND = 20;

    private Captions() {}

    /**
     * @param words every written word of the text, timed from the clip's start
     * @param start where the clip starts in the programme
     * @param until where the next clip starts: no caption lasts beyond it
     */
    public static List<Caption> of(String text, List<TimedWord> words, SampleCount start, SampleCount until) {
        double startSeconds = start.seconds();
        double untilSeconds = until.seconds();
        List<Caption> captions = new ArrayList<>();
        int first = 0;
        while (first < words.size()) {
            int last = lastOf(text, words, first);
            double from = startSeconds + words.get(first).startSeconds();
            double spokenTo = startSeconds + words.get(last).endSeconds();
            double limit =
                    last + 1 < words.size() ? startSeconds + words.get(last + 1).startSeconds() : untilSeconds;
            String piece = piece(text, words, first, last);
            double readable = Math.max(SHORTEST_MILLIS / 1000.0, piece.length() / (double) CHARACTERS_PER_SECOND);
            double to = Math.min(Math.max(spokenTo, from + readable), Math.max(spokenTo, limit));
            captions.add(new Caption(Math.round(from * 1000), Math.round(to * 1000), lines(piece)));
            first = last + 1;
        }
        return captions;
    }

    /** SubRip: counter, times with a decimal comma, lines, a blank line. */
    public static String srt(List<Caption> captions) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < captions.size(); i++) {
            Caption caption = captions.get(i);
            out.append(i + 1)
                    .append("\r\n")
                    .append(time(caption.startMillis()))
                    .append(" --> ")
                    .append(time(caption.endMillis()))
                    .append("\r\n")
                    .append(String.join("\r\n", caption.lines()))
                    .append("\r\n\r\n");
        }
        return out.toString();
    }

    private static int lastOf(String text, List<TimedWord> words, int first) {
        int fits = first;
        int clause = -1;
        for (int last = first; last < words.size(); last++) {
            double seconds = words.get(last).endSeconds() - words.get(first).startSeconds();
            if (last > first
                    && (lines(piece(text, words, first, last)).size() > 2 || seconds * 1000 > LONGEST_MILLIS)) {
                break;
            }
            fits = last;
            String after = text.substring(
                    words.get(last).end(),
                    last + 1 < words.size() ? words.get(last + 1).start() : text.length());
            if (after.matches("(?s).*[.!?…].*") && seconds * 1000 >= SHORTEST_MILLIS) {
                return last;
            }
            if (after.matches("(?s).*[,;:–—].*")) {
                clause = last;
            }
        }
        return fits == words.size() - 1 || clause < 0 ? fits : clause;
    }

    /** The written text of a run of words with its punctuation. */
    private static String piece(String text, List<TimedWord> words, int first, int last) {
        int from = first == 0
                ? 0
                : boundary(text, words.get(first - 1).end(), words.get(first).start());
        int to = last + 1 < words.size()
                ? boundary(text, words.get(last).end(), words.get(last + 1).start())
                : text.length();
        return text.substring(from, to).strip();
    }

    /** Between two words a piece ends at the last space; opening quotes stay with the word they open. */
    private static int boundary(String text, int from, int to) {
        int space = text.substring(from, to).lastIndexOf(' ');
        return space < 0 ? to : from + space;
    }

    private static List<String> lines(String piece) {
        if (piece.length() <= LINE) {
            return List.of(piece);
        }
        List<String> lines = new ArrayList<>();
        String rest = piece;
        while (rest.length() > LINE) {
            int even = lines.isEmpty() && rest.length() <= 2 * LINE ? rest.length() / 2 : LINE;
            int cut = rest.lastIndexOf(' ', LINE);
            int better = rest.indexOf(' ', even);
            cut = better > 0 && better <= LINE && rest.length() - better - 1 <= LINE ? better : cut;
            if (cut <= 0) {
                cut = rest.offsetByCodePoints(0, Math.min(LINE, rest.codePointCount(0, rest.length())));
                cut = Math.min(cut, rest.length());
            }
            lines.add(rest.substring(0, cut).strip());
            rest = rest.substring(cut).strip();
        }
        if (!rest.isEmpty()) {
            lines.add(rest);
        }
        return lines;
    }

    private static String time(long millis) {
        return "%02d:%02d:%02d,%03d"
                .formatted(millis / 3_600_000, millis / 60_000 % 60, millis / 1_000 % 60, millis % 1_000);
    }
}
