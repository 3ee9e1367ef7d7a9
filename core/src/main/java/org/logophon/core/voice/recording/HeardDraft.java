package org.logophon.core.voice.recording;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A first draft of a script from what a recogniser heard: a paragraph where the speaker rests, every doubtful word
 * known.
 */
public final class HeardDraft {

    /** A rest so long ends a paragraph. Ours. */
    private static final double REST_SECONDS = 0.7;
    /** Ours: of words under it, more than a third were wrong in the recordings that it was tried on. */
    private static final double SURE = 0.6;

    private HeardDraft() {}

    /**
     * A paragraph of the draft.
     *
     * @param doubtful places of its doubtful words, from and to, as UTF-16 indices
     */
    public record Paragraph(String text, List<int[]> doubtful, double fromSeconds, double toSeconds) {

        public Paragraph {
            doubtful = List.copyOf(doubtful);
        }
    }

    public static List<Paragraph> of(List<HeardWord> words) {
        List<Paragraph> paragraphs = new ArrayList<>();
        int first = 0;
        for (int i = 0; i < words.size(); i++) {
            boolean last = i + 1 == words.size()
                    || words.get(i + 1).fromSeconds() - words.get(i).toSeconds() > REST_SECONDS;
            if (last) {
                paragraphs.add(paragraph(words.subList(first, i + 1)));
                first = i + 1;
            }
        }
        return List.copyOf(paragraphs);
    }

    private static Paragraph paragraph(List<HeardWord> words) {
        StringBuilder text = new StringBuilder();
        List<int[]> doubtful = new ArrayList<>();
        for (HeardWord heard : words) {
            String word = heard.word();
            if (text.isEmpty() || word.equals("i") || word.startsWith("i'")) {
                word = word.substring(0, 1).toUpperCase(Locale.ENGLISH) + word.substring(1);
            }
            text.append(text.isEmpty() ? "" : " ");
            int start = text.length();
            text.append(word);
            if (heard.confidence() < SURE) {
                doubtful.add(new int[] {start, text.length()});
            }
        }
        text.append('.');
        return new Paragraph(
                text.toString(),
                doubtful,
                words.get(0).fromSeconds(),
                words.get(words.size() - 1).toSeconds());
    }
}
