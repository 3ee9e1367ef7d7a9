package org.logophon.core.time.caption;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.voice.finish.Clip.TimedWord;

/**
 * Captions word by word, for videos held upright: one to four words at a time, each with its own time inside the line
 * (WebVTT, timestamp tags).
 */
public final class WordCaptions {

    private static final int MOST_WORDS = 4;
    private static final int MOST_CHARACTERS = 24;
    /** A silence that parts two groups. */
    private static final double APART_SECONDS = 0.35;

    private WordCaptions() {}

    /** A word as it is shown. @param startMillis from the programme's start */
    public record ShownWord(String shown, long startMillis, long endMillis) {}

    /** Words that are shown together. */
    public record Group(List<ShownWord> words, String speaker) {}

    /** @param words timed from the clip's start */
    public static List<Group> of(String text, List<TimedWord> words, Captions.Place place, String speaker) {
        Breaks breaks = new Breaks(text, words, place.language());
        List<Group> groups = new ArrayList<>();
        int first = 0;
        for (int i = 0; i < words.size(); i++) {
            boolean last = i + 1 == words.size();
            boolean ends = last
                    || breaks.after(i) <= Breaks.CLAUSE
                    || i - first + 1 >= MOST_WORDS
                    || breaks.piece(first, i + 1).length() > MOST_CHARACTERS
                    || words.get(i + 1).startSeconds() - words.get(i).endSeconds() > APART_SECONDS;
            if (ends) {
                groups.add(new Group(shown(breaks, words, place, first, i), speaker));
                first = i + 1;
            }
        }
        return groups;
    }

    private static List<ShownWord> shown(
            Breaks breaks, List<TimedWord> words, Captions.Place place, int first, int last) {
        double start = place.start().seconds();
        double until = place.until().seconds();
        List<ShownWord> shown = new ArrayList<>();
        for (int i = first; i <= last; i++) {
            double limit = i + 1 < words.size() ? start + words.get(i + 1).startSeconds() : until;
            double from = start + words.get(i).startSeconds();
            double to = Math.max(from + 0.001, Math.min(start + words.get(i).endSeconds(), limit));
            shown.add(new ShownWord(breaks.piece(i, i), Math.round(from * 1_000), Math.round(to * 1_000)));
        }
        return shown;
    }

    /** @param language BCP 47; empty for unknown */
    public static String vtt(List<Group> groups, String language) {
        StringBuilder out = new StringBuilder(WebVtt.header(language));
        for (Group group : groups) {
            List<ShownWord> words = group.words();
            long start = words.get(0).startMillis();
            long end = Math.max(start + 1, words.get(words.size() - 1).endMillis());
            StringBuilder line = new StringBuilder();
            long before = start;
            for (ShownWord word : words) {
                if (line.length() > 0) {
                    line.append(' ');
                    // tags go up, and lie inside the caption (WebVTT 4.2.2)
                    if (word.startMillis() > before && word.startMillis() < end) {
                        line.append('<')
                                .append(CaptionTime.written(word.startMillis(), '.'))
                                .append('>');
                        before = word.startMillis();
                    }
                }
                line.append(WebVtt.escaped(word.shown()));
            }
            out.append(WebVtt.timing(start, end))
                    .append(WebVtt.voiced(line.toString(), group.speaker()))
                    .append("\n\n");
        }
        return out.toString();
    }
}
