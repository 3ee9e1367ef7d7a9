package org.logophon.core.direction.phrasing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.text.script.Quotations;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;

/**
 * How a text is phrased: where it rests, rises, falls and leans, by its signs and words. A layer under all direction: a
 * mark at the same words takes the place of what stands here.
 *
 * @param parts     in the order of their places
 * @param sentences first and last word of each, for the line that falls from start to end
 * @param phrases   first and last word of each
 */
public record Phrasing(List<PhrasePart> parts, List<WordRun> sentences, List<WordRun> phrases) {

    /** Raised whenever the same text comes to be phrased otherwise. */
    public static final int VERSION = 1;

    public static final Phrasing NONE = new Phrasing(List.of(), List.of(), List.of());

    private static final double PARAGRAPH_SECONDS = 0.9;

    public Phrasing {
        parts = List.copyOf(parts);
        sentences = List.copyOf(sentences);
        phrases = List.copyOf(phrases);
    }

    /** Words beside one another. @param first and last: their numbers in the text */
    public record WordRun(int first, int last) {}

    /** @param language BCP 47 tag of the voice */
    public static Phrasing of(String text, String language) {
        List<Word> words = Words.of(text);
        return words.isEmpty() ? NONE : new Maker(text, words, language).made();
    }

    /** Without what these marks say themselves: the same kind at the very words, or inside of them. */
    public Phrasing under(List<Mark> marks) {
        return marks.isEmpty()
                ? this
                : new Phrasing(
                        parts.stream()
                                .filter(part -> marks.stream().noneMatch(mark -> replaces(mark, part)))
                                .toList(),
                        sentences,
                        phrases);
    }

    private static boolean replaces(Mark mark, PhrasePart part) {
        if (part.onGap()) {
            return mark.instruction() instanceof Instruction.Pause && mark.end() == part.end();
        }
        return mark.start() >= part.start()
                && mark.end() <= part.end()
                && part.move().instructions().stream()
                        .anyMatch(own -> own.kind() == mark.instruction().kind());
    }

    private static final class Maker {

        private final String text;
        private final List<Word> words;
        private final PhrasingLanguage language;
        private final BoundaryFinder finder;
        private final List<Boundary> boundaries;
        private final List<WordRun> sentences = new ArrayList<>();
        private final List<WordRun> phrases = new ArrayList<>();
        private final List<PhrasePart> parts = new ArrayList<>();
        private final Set<Integer> saidBefore = new TreeSet<>();

        Maker(String text, List<Word> words, String tag) {
            this.text = text;
            this.words = words;
            this.language = PhrasingLanguage.of(tag);
            this.finder = new BoundaryFinder(text, words, tag);
            this.boundaries = finder.all();
        }

        Phrasing made() {
            runs();
            if (language.known()) {
                weights();
            }
            for (int i = 0; i + 1 < words.size(); i++) {
                rest(i);
            }
            phrases.forEach(this::ending);
            sentences.forEach(this::ofSentence);
            insertions();
            quotations();
            parts.sort(Comparator.comparingInt(PhrasePart::start).thenComparingInt(PhrasePart::end));
            return new Phrasing(parts, sentences, phrases);
        }

        private void runs() {
            int phrase = 0;
            int sentence = 0;
            for (int i = 0; i < words.size(); i++) {
                boolean last = i + 1 == words.size();
                Boundary boundary = boundaries.get(i);
                if (boundary != null || last) {
                    phrases.add(new WordRun(phrase, i));
                    phrase = i + 1;
                }
                if (boundary != null && boundary.full() || last) {
                    sentences.add(new WordRun(sentence, i));
                    sentence = i + 1;
                }
            }
        }

        private void rest(int i) {
            Boundary boundary = boundaries.get(i);
            if (boundary == null) {
                return;
            }
            boolean paragraph = finder.paragraph(i);
            Boundary resting = boundary.full() && !finder.sentenceEnds(i) ? Boundary.COMMA : boundary;
            double seconds = resting.restSeconds() * (resting == Boundary.COMMA ? language.commaFactor() : 1);
            add(
                    i,
                    i,
                    new PhraseMove.Rest(paragraph ? Math.max(seconds, PARAGRAPH_SECONDS) : seconds),
                    paragraph ? Boundary.PARAGRAPH.title() : resting.title());
        }

        /** From the last content word on; one that was said before isn't it, where there is another. */
        private void ending(WordRun phrase) {
            Boundary boundary = boundaries.get(phrase.last());
            if (boundary == null || boundary == Boundary.BREATH_GROUP) {
                return;
            }
            int nucleus = -1;
            for (int i = phrase.last(); i >= phrase.first() && nucleus < 0; i--) {
                nucleus = content(i) && !saidBefore.contains(i) ? i : -1;
            }
            // what lies far from the end can't carry its melody
            if (nucleus < 0 || phrase.last() - nucleus > 3) {
                nucleus = phrase.last();
            }
            add(
                    nucleus,
                    phrase.last(),
                    new PhraseMove.Ending(boundary.semitones(), boundary.lengthening()),
                    boundary.title());
        }

        private void ofSentence(WordRun sentence) {
            Boundary end = boundaries.get(sentence.last());
            if (end == Boundary.OTHER_QUESTION) {
                asking(sentence);
            }
            if (end == Boundary.EXCLAMATION) {
                add(sentence.first(), sentence.last(), new PhraseMove.Span(0, 100, 1.5, 130), end.title());
                firstContent(sentence).ifPresent(i -> add(i, i, new PhraseMove.Accent(2), end.title()));
            }
            for (WordRun phrase : phrases) {
                boolean inside = phrase.first() >= sentence.first() && phrase.last() <= sentence.last();
                Boundary before =
                        inside && phrase.first() > sentence.first() ? boundaries.get(phrase.first() - 1) : null;
                if (before == Boundary.COLON) {
                    firstContent(phrase).ifPresent(i -> add(i, i, new PhraseMove.Accent(1), "after a colon"));
                }
                if (inside && boundaries.get(phrase.last()) == Boundary.ELLIPSIS) {
                    add(
                            Math.max(phrase.first(), phrase.last() - 2),
                            phrase.last(),
                            new PhraseMove.Span(0, 88, -2, 100),
                            Boundary.ELLIPSIS.title());
                }
            }
        }

        private void asking(WordRun sentence) {
            for (int i = sentence.first(); i <= sentence.last(); i++) {
                if (language.questionWords().contains(plain(i))) {
                    add(i, i, new PhraseMove.Accent(3), "asking word");
                    return;
                }
            }
        }

        private Optional<Integer> firstContent(WordRun run) {
            for (int i = run.first(); i <= run.last(); i++) {
                if (content(i)) {
                    return Optional.of(i);
                }
            }
            return Optional.empty();
        }

        /** Between two parentheses or two dashes of one sentence. */
        private void insertions() {
            for (WordRun sentence : sentences) {
                int from = -1;
                Boundary opened = null;
                for (int i = sentence.first(); i < sentence.last(); i++) {
                    Boundary boundary = boundaries.get(i);
                    if (boundary != Boundary.PARENTHESIS && boundary != Boundary.DASH) {
                        continue;
                    }
                    if (opened == boundary) {
                        add(from, i, new PhraseMove.Span(-1.5, 106, -1.5, 100), boundary.title());
                        opened = null;
                    } else {
                        opened = boundary;
                        from = i + 1;
                    }
                }
                if (opened == Boundary.PARENTHESIS && closes(sentence.last())) {
                    add(from, sentence.last(), new PhraseMove.Span(-1.5, 106, -1.5, 100), opened.title());
                }
            }
        }

        private boolean closes(int word) {
            int to = word + 1 < words.size() ? words.get(word + 1).start() : text.length();
            return text.substring(words.get(word).end(), to).indexOf(')') >= 0;
        }

        private void quotations() {
            for (Word quotation : Quotations.of(text)) {
                // a whole cue in quotation marks is spoken, not quoted
                if (quotation.start() > words.get(0).start()
                        || quotation.end() < words.get(words.size() - 1).end()) {
                    parts.add(new PhrasePart(
                            quotation.start(), quotation.end(), new PhraseMove.Span(1, 100, 0, 115), "quotation"));
                }
            }
        }

        /** Words that were said within the last two sentences, and two that differ where all else is the same. */
        private void weights() {
            Map<String, Integer> heard = new HashMap<>();
            Set<Integer> contrasted = contrasts();
            for (int s = 0; s < sentences.size(); s++) {
                WordRun sentence = sentences.get(s);
                for (int i = sentence.first(); i <= sentence.last(); i++) {
                    if (contrasted.contains(i)) {
                        add(i, i, new PhraseMove.Weight(true), "contrast");
                    } else if (content(i) && heard.getOrDefault(plain(i), -9) >= s - 2) {
                        saidBefore.add(i);
                        add(i, i, new PhraseMove.Weight(false), "said before");
                    }
                    if (content(i)) {
                        heard.put(plain(i), s);
                    }
                }
            }
        }

        /** "The north gate, not the south gate": the same words but for one, in the same or the next sentence. */
        private Set<Integer> contrasts() {
            Set<Integer> found = new TreeSet<>();
            for (int i = 0; i + 1 < words.size(); i++) {
                if (!content(i) || !content(i + 1)) {
                    continue;
                }
                for (int k = i + 2; k + 1 < words.size() && k <= i + LONGEST_CONTRAST; k++) {
                    if (plain(k + 1).equals(plain(i + 1))
                            && !plain(k).equals(plain(i))
                            && content(k)
                            && i > 0
                            && plain(i - 1).equals(plain(k - 1))) {
                        found.add(i);
                        found.add(k);
                    }
                }
            }
            return found;
        }

        private static final int LONGEST_CONTRAST = 12;

        private boolean content(int i) {
            return language.content(words.get(i).in(text));
        }

        private String plain(int i) {
            return PhrasingLanguage.plain(words.get(i).in(text));
        }

        private void add(int first, int last, PhraseMove move, String reason) {
            parts.add(new PhrasePart(words.get(first).start(), words.get(last).end(), move, reason));
        }
    }
}
