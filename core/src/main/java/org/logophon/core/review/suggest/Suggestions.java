package org.logophon.core.review.suggest;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.direction.phrasing.PhraseMove;
import org.logophon.core.direction.phrasing.PhrasePart;
import org.logophon.core.direction.phrasing.Phrasing;
import org.logophon.core.text.script.Sentences;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;

/**
 * Proposes how a text is read: rules of thumb of the trade, each with its reason. What is proposed never stands where
 * the
 * user, or an earlier suggestion that was taken, has a mark of the same kind.
 */
public final class Suggestions {

    /** A phrase of so many words without a stop wants a breath before it. Ours. */
    private static final int LONG_PHRASE = 13;
    /** A clause of so many words is set off by a pause. Ours. */
    private static final int LONG_CLAUSE = 6;

    private static final int CLAUSE_MILLIS = 250;
    private static final int BREATH_MILLIS = 450;
    private static final int FIGURES_PERCENT = 90;
    private static final int NAMES_PERCENT = 94;
    private static final int SENTENCE_CHANGE_PERCENT = 3;
    private static final int SENTENCES_FOR_CHANGE = 3;
    private static final String CLAUSE_ENDS = ",;:—–";
    private static final Set<String> SMALL =
            Set.of("a", "an", "the", "of", "to", "in", "on", "at", "by", "for", "and", "or", "but", "not");

    private final String text;
    private final List<Word> words;
    private final List<Integer> ends;
    private final List<Mark> found = new ArrayList<>();

    private Suggestions(String text, String language) {
        this.text = text;
        this.words = Words.of(text);
        this.ends = Sentences.ends(text, language);
    }

    /**
     * @param own marks of the text so far; those that were suggested and not taken are replaced.
     *
     * @param language BCP 47 tag
     */
    public static Marks of(String text, String language, Marks own) {
        return found(text, language, own, Phrasing.NONE);
    }

    /** The same for a text whose phrasing is heard: without what that does already. */
    public static Marks besidePhrasing(String text, String language, Marks own) {
        return found(text, language, own, Phrasing.of(text, language));
    }

    private static Marks found(String text, String language, Marks own, Phrasing phrasing) {
        Marks kept = new Marks(own.all().stream().filter(Mark::heard).toList());
        Suggestions suggestions = new Suggestions(text, language);
        suggestions.find();
        suggestions.found.removeIf(mark -> phrasing.parts().stream().anyMatch(part -> does(part, mark)));
        List<Mark> all = new ArrayList<>(kept.all());
        for (Mark mark : suggestions.found) {
            boolean taken = all.stream()
                    .anyMatch(other ->
                            other.instruction().id().equals(mark.instruction().id())
                                    && other.start() < mark.end()
                                    && other.end() > mark.start());
            if (!taken) {
                all.add(mark);
            }
        }
        return new Marks(all);
    }

    /** A rest that is as long, or stress on the same word. */
    private static boolean does(PhrasePart part, Mark mark) {
        if (mark.instruction() instanceof Instruction.Pause pause) {
            return part.end() == mark.end()
                    && part.move() instanceof PhraseMove.Rest rest
                    && (pause.millis() <= CLAUSE_MILLIS || rest.seconds() * 1_000 >= pause.millis());
        }
        return mark.instruction() instanceof Instruction.Stress
                && part.start() == mark.start()
                && part.move() instanceof PhraseMove.Weight weight
                && weight.gained();
    }

    private void find() {
        clauses();
        figuresAndNames();
        contrasts();
        sentences();
    }

    private void add(int from, int to, Instruction instruction, String reason) {
        found.add(new Mark(words.get(from).start(), words.get(to).end(), instruction, Mark.Origin.SUGGESTED, reason));
    }

    /** What stands between a word and the next one. */
    private String between(int word) {
        return text.substring(
                words.get(word).end(),
                word + 1 < words.size() ? words.get(word + 1).start() : text.length());
    }

    private boolean stopAfter(int word) {
        int end = words.get(word).end();
        int next = word + 1 < words.size() ? words.get(word + 1).start() : text.length();
        return word + 1 == words.size() || ends.stream().anyMatch(place -> place > end && place <= next);
    }

    private boolean clauseAfter(int word) {
        return stopAfter(word) || between(word).chars().anyMatch(c -> CLAUSE_ENDS.indexOf(c) >= 0);
    }

    private void clauses() {
        int from = 0;
        for (int i = 0; i + 1 < words.size(); i++) {
            if (!clauseAfter(i)) {
                continue;
            }
            int next = i + 1;
            while (next < words.size() && !clauseAfter(next)) {
                next++;
            }
            int before = i + 1 - from;
            int after = Math.min(next, words.size() - 1) - i;
            if (after >= LONG_PHRASE) {
                add(
                        i,
                        i,
                        new Instruction.Pause(BREATH_MILLIS),
                        after + " words follow without a stop: room for a breath");
                add(i, i, new Instruction.Breath(Instruction.Depth.NORMAL), after + " words follow without a stop");
            } else if (!stopAfter(i) && before >= LONG_CLAUSE && after >= LONG_CLAUSE) {
                add(i, i, new Instruction.Pause(CLAUSE_MILLIS), "a clause of " + before + " words ends here");
            }
            from = i + 1;
        }
    }

    private void figuresAndNames() {
        for (int i = 0; i < words.size(); i++) {
            String word = words.get(i).in(text);
            if (word.chars().anyMatch(Character::isDigit)) {
                add(i, i, new Instruction.Pace(FIGURES_PERCENT), "figures want a moment to be understood");
                continue;
            }
            int last = i;
            while (last < words.size() && name(last) && (last == i || !clauseAfter(last - 1))) {
                last++;
            }
            if (last > i + 1) {
                add(i, last - 1, new Instruction.Pace(NAMES_PERCENT), "a name that is heard once has to be caught");
                i = last - 1;
            }
        }
    }

    /** A capital inside a sentence: the first word of one always has it. */
    private boolean name(int word) {
        String letters = words.get(word).in(text);
        boolean first = word == 0 || stopAfter(word - 1);
        return !first
                && letters.length() > 1
                && Character.isUpperCase(letters.codePointAt(0))
                && !letters.equals(letters.toUpperCase(Locale.ROOT));
    }

    /** "Not this but that", and "this, not that". */
    private void contrasts() {
        for (int i = 1; i + 1 < words.size(); i++) {
            if (!lower(i).equals("not")) {
                continue;
            }
            int but = i + 1;
            while (but < words.size() && but - i <= 6 && !lower(but).equals("but") && !stopAfter(but)) {
                but++;
            }
            if (but < words.size() - 1 && lower(but).equals("but")) {
                stress(
                        weighty(but - 1, i + 1, -1),
                        "stands against “"
                                + words.get(weighty(but + 1, lastOfClause(but + 1), 1))
                                        .in(text) + "”");
                stress(weighty(but + 1, lastOfClause(but + 1), 1), "stands against what it is not");
            } else if (between(i - 1).contains(",")) {
                int what = weighty(i + 1, lastOfClause(i + 1), 1);
                stress(
                        weighty(i - 1, 0, -1),
                        "stands against “" + words.get(what).in(text) + "”");
                stress(what, "is what it is not");
            }
        }
    }

    private void stress(int word, String reason) {
        boolean there = found.stream()
                .anyMatch(mark -> mark.instruction() instanceof Instruction.Stress
                        && mark.start() == words.get(word).start());
        if (!there) {
            add(word, word, new Instruction.Stress(Instruction.Level.MODERATE), reason);
        }
    }

    private int lastOfClause(int from) {
        int at = from;
        while (at + 1 < words.size() && !clauseAfter(at)) {
            at++;
        }
        return at;
    }

    /** The first word that means something, from one to another. */
    private int weighty(int from, int to, int way) {
        for (int i = from; way > 0 ? i <= to : i >= to; i += way) {
            if (!SMALL.contains(lower(i))) {
                return i;
            }
        }
        return from;
    }

    private String lower(int word) {
        return words.get(word).in(text).toLowerCase(Locale.ROOT);
    }

    /** A reader doesn't give three sentences the same pace. */
    private void sentences() {
        List<int[]> spans = new ArrayList<>();
        int from = 0;
        for (int i = 0; i < words.size(); i++) {
            if (stopAfter(i)) {
                spans.add(new int[] {from, i});
                from = i + 1;
            }
        }
        if (spans.size() < SENTENCES_FOR_CHANGE) {
            return;
        }
        for (int s = 1; s < spans.size(); s++) {
            int[] span = spans.get(s);
            int length = span[1] - span[0] + 1;
            int before = spans.get(s - 1)[1] - spans.get(s - 1)[0] + 1;
            boolean free = found.stream()
                    .noneMatch(mark -> mark.instruction() instanceof Instruction.Pace
                            && mark.start() < words.get(span[1]).end()
                            && mark.end() > words.get(span[0]).start());
            if (free && length != before) {
                int percent = 100 + (length < before ? -SENTENCE_CHANGE_PERCENT : SENTENCE_CHANGE_PERCENT);
                add(
                        span[0],
                        span[1],
                        new Instruction.Pace(percent),
                        length < before
                                ? "a short sentence after a longer one: a little slower"
                                : "a longer sentence after a short one: a little faster");
            }
        }
    }
}
