package org.logophon.core.voice.recording;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.ToDoubleFunction;

/**
 * A first draft of a script from what a recogniser heard: a paragraph where the speaker rests for long, a sentence
 * where the voice falls and rests, every doubtful word known.
 */
public final class HeardDraft {

    /** A rest so long ends a paragraph. Ours, as all here. */
    private static final double PARAGRAPH_SECONDS = 0.7;
    /** A rest so long ends a sentence, where the voice has come down; and one so long, where it hasn't gone up. */
    private static final double FALLEN_SECONDS = 0.22;

    private static final double LEVEL_SECONDS = 0.45;
    /** Semitones under the speaker's middle, and over it. */
    private static final double FALLEN = -1.5;

    private static final double RISEN = 2;
    private static final double COMMA_SECONDS = 0.22;
    /** Fewer are no sentence that one would guess. */
    private static final int FEWEST_WORDS = 3;
    /** Of five recorded sentences of a reader (LibriVox), 13 of 20 words under it were wrong, and 10 of 54 over it. */
    private static final double SURE = 0.45;

    private static final Set<String> NAMES = Set.of(
            "monday",
            "tuesday",
            "wednesday",
            "thursday",
            "friday",
            "saturday",
            "sunday",
            "january",
            "february",
            "april",
            "june",
            "july",
            "august",
            "september",
            "october",
            "november",
            "december",
            "english",
            "french",
            "german",
            "spanish",
            "italian",
            "england",
            "london",
            "america",
            "american",
            "europe",
            "christmas");
    private static final Set<String> ASKING = Set.of(
            "who", "what", "when", "where", "why", "how", "which", "whose", "is", "are", "was", "were", "do", "does",
            "did", "have", "has", "had", "can", "could", "will", "would", "shall", "should", "may", "must");

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

    private enum Boundary {
        NONE,
        COMMA,
        SENTENCE,
        PARAGRAPH
    }

    /**
     * @param ending where the voice is at the end of a word, in semitones over the middle of what was heard; NaN where
     *     it has no pitch
     */
    public static List<Paragraph> of(List<HeardWord> words, ToDoubleFunction<HeardWord> ending) {
        List<Paragraph> paragraphs = new ArrayList<>();
        int first = 0;
        int inSentence = 0;
        List<Boundary> boundaries = new ArrayList<>();
        for (int i = 0; i < words.size(); i++) {
            inSentence++;
            Boundary boundary = i + 1 == words.size()
                    ? Boundary.PARAGRAPH
                    : boundary(
                            words.get(i + 1).fromSeconds() - words.get(i).toSeconds(),
                            ending.applyAsDouble(words.get(i)),
                            inSentence);
            boundaries.add(boundary);
            inSentence = boundary.compareTo(Boundary.SENTENCE) >= 0 ? 0 : inSentence;
            if (boundary == Boundary.PARAGRAPH) {
                paragraphs.add(paragraph(words.subList(first, i + 1), boundaries, ending));
                boundaries = new ArrayList<>();
                first = i + 1;
            }
        }
        return List.copyOf(paragraphs);
    }

    private static Boundary boundary(double rest, double ending, int inSentence) {
        if (rest > PARAGRAPH_SECONDS) {
            return Boundary.PARAGRAPH;
        }
        boolean over = rest > FALLEN_SECONDS && ending < FALLEN || rest > LEVEL_SECONDS && !(ending > RISEN);
        if (over && inSentence >= FEWEST_WORDS) {
            return Boundary.SENTENCE;
        }
        return rest > COMMA_SECONDS ? Boundary.COMMA : Boundary.NONE;
    }

    private static Paragraph paragraph(
            List<HeardWord> words, List<Boundary> boundaries, ToDoubleFunction<HeardWord> ending) {
        StringBuilder text = new StringBuilder();
        List<int[]> doubtful = new ArrayList<>();
        int first = 0;
        for (int i = 0; i < words.size(); i++) {
            HeardWord heard = words.get(i);
            String word = heard.word();
            if (i == first || word.equals("i") || word.startsWith("i'") || NAMES.contains(word)) {
                word = word.substring(0, 1).toUpperCase(Locale.ENGLISH) + word.substring(1);
            }
            text.append(text.isEmpty() ? "" : " ");
            int start = text.length();
            text.append(word);
            if (heard.confidence() < SURE) {
                doubtful.add(new int[] {start, text.length()});
            }
            switch (boundaries.get(i)) {
                case NONE -> {}
                case COMMA -> text.append(',');
                default -> {
                    boolean asks = ASKING.contains(words.get(first).word()) && ending.applyAsDouble(heard) > RISEN;
                    text.append(asks ? '?' : '.');
                    first = i + 1;
                }
            }
        }
        return new Paragraph(
                text.toString(),
                doubtful,
                words.get(0).fromSeconds(),
                words.get(words.size() - 1).toSeconds());
    }
}
