package org.logophon.core.direction.mark;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.text.script.TextDiff;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;

/** The marks of one cue. A place has one mark of each kind: a new one takes the place of those that it covers. */
public record Marks(List<Mark> all) {

    private static final Comparator<Mark> ORDER = Comparator.comparingInt(Mark::start)
            .thenComparing(Mark::end, Comparator.reverseOrder())
            .thenComparing(mark -> mark.instruction().id())
            .thenComparing(mark -> mark.instruction().value());
    public static final Marks NONE = new Marks(List.of());
    /** A cue with more is not made by hand. */
    public static final int MOST = 2_000;

    public Marks {
        all = all.stream().sorted(ORDER).toList();
        if (all.size() > MOST) {
            throw new InvalidInput("A cue has at most %,d marks.".formatted(MOST));
        }
    }

    /** Those that are heard, in order. */
    public List<Mark> heard() {
        return all.stream().filter(Mark::heard).toList();
    }

    /** Those that are heard and aren't readings, in order. */
    public List<Mark> written() {
        return all.stream()
                .filter(mark -> mark.heard() && !(mark.instruction() instanceof Instruction.ReadAs))
                .toList();
    }

    /** Those of them that the voice knows of: a sound after a cue's last word is none of its business. */
    public List<Mark> spoken(String text) {
        return written().stream()
                .filter(mark -> !(mark.instruction() instanceof Instruction.OwnSound) || !last(mark, text))
                .toList();
    }

    /**
     * What a {@link Score} holds, each for the one of {@link #spoken}: readings are told to the engine, and of a sound
     * the voice knows its gap alone.
     */
    public List<Mark> scored(String text) {
        return spoken(text).stream()
                .map(mark -> mark.instruction() instanceof Instruction.OwnSound sound
                        ? mark.with(new Instruction.Pause(sound.millis()))
                        : mark)
                .toList();
    }

    private static boolean last(Mark mark, String text) {
        List<Word> words = Words.of(text);
        return !words.isEmpty() && words.get(words.size() - 1).end() <= mark.end();
    }

    /** Sounds that are heard, in order. */
    public List<Mark> sounds() {
        return all.stream()
                .filter(mark -> mark.heard() && mark.instruction() instanceof Instruction.OwnSound)
                .toList();
    }

    /** How long the gap after a cue's last word is at least: a sound may stand in it. @return milliseconds */
    public int gapAfter(String text) {
        return sounds().stream()
                .filter(mark -> last(mark, text))
                .mapToInt(mark -> ((Instruction.OwnSound) mark.instruction()).millis())
                .max()
                .orElse(0);
    }

    /**
     * With one more. What is of its kind at the same words goes; a run of its kind that it cuts through keeps the words
     * outside; a run that holds it whole stays, and the two add up. Of readings a word has one.
     */
    public Marks with(Mark mark, String text) {
        List<Mark> kept = new ArrayList<>();
        for (Mark other : all) {
            boolean same = other.instruction().id().equals(mark.instruction().id());
            boolean covers = mark.start() <= other.start() && mark.end() >= other.end();
            boolean apart = mark.end() <= other.start() || mark.start() >= other.end();
            boolean holds = other.start() <= mark.start() && other.end() >= mark.end();
            boolean reading = mark.instruction() instanceof Instruction.ReadAs;
            if (!same || apart || holds && !covers && !reading) {
                kept.add(other);
            } else if (!covers && !reading) {
                Mark rest = other.start() < mark.start()
                        ? trimmed(other, other.start(), mark.start(), text)
                        : trimmed(other, mark.end(), other.end(), text);
                if (rest != null) {
                    kept.add(rest);
                }
            }
        }
        kept.add(mark);
        return new Marks(kept);
    }

    /**
     * With what stands inside some words, or in the gap after them, moved along by whole words. Readings stay: they
     * belong to
     * what is written.
     *
     * @param gap true for the gap after {@code end} alone
     * @param by  words; under 0 towards the start
     * @throws InvalidInput with a sentence when nothing stands there, or there is no room
     */
    public Marks shifted(int start, int end, boolean gap, int by, String text) {
        List<Mark> meant = all.stream()
                .filter(mark -> !(mark.instruction() instanceof Instruction.ReadAs))
                .filter(mark -> gap
                        ? mark.instruction().onGap() && mark.end() == end
                        : !mark.instruction().onGap() && mark.start() >= start && mark.end() <= end)
                .toList();
        if (meant.isEmpty()) {
            throw new InvalidInput("Nothing is marked there that could be moved.");
        }
        List<Word> words = Words.of(text);
        Marks moved =
                new Marks(all.stream().filter(mark -> !meant.contains(mark)).toList());
        for (Mark mark : meant) {
            int first = (int) words.stream()
                            .filter(word -> word.end() <= mark.start())
                            .count()
                    + by;
            int last = (int) words.stream()
                            .filter(word -> word.start() < mark.end())
                            .count()
                    - 1
                    + by;
            if (first < 0 || last >= words.size() - (gap ? 1 : 0)) {
                throw new InvalidInput("There are no more words that way.");
            }
            moved = moved.with(mark.at(words.get(first).start(), words.get(last).end()), text);
        }
        return moved;
    }

    /** With all of another one's, which stand elsewhere. */
    public Marks plus(Marks others) {
        List<Mark> both = new ArrayList<>(all);
        both.addAll(others.all());
        return new Marks(both);
    }

    public Marks without(Mark mark) {
        List<Mark> kept = new ArrayList<>(all);
        kept.remove(mark);
        return new Marks(kept);
    }

    /** @return null when no word is left */
    private static Mark trimmed(Mark mark, int from, int to, String text) {
        List<Word> words = Words.of(text).stream()
                .filter(word -> word.start() >= from && word.end() <= to)
                .toList();
        return words.isEmpty()
                ? null
                : mark.at(words.get(0).start(), words.get(words.size() - 1).end());
    }

    /** What an edit has made of marks. @param lost those whose words are gone */
    public record Moved(Marks marks, List<Mark> lost) {}

    /**
     * With their words, after an edit: a run shrinks by words that went and takes in what was written into it; a gap
     * stays
     * with the word before it.
     */
    public Moved moved(String before, String after) {
        if (all.isEmpty() || before.equals(after)) {
            return new Moved(this, List.of());
        }
        TextDiff edit = TextDiff.of(before, after);
        List<Word> old = Words.of(before);
        List<Word> now = Words.of(after);
        List<Mark> kept = new ArrayList<>();
        List<Mark> lost = new ArrayList<>();
        for (Mark mark : all) {
            Mark moved = mark.instruction() instanceof Instruction.ReadAs
                    ? movedReading(mark, edit, before, after)
                    : moved(mark, edit, old, now);
            if (moved == null) {
                lost.add(mark);
            } else {
                kept.add(moved);
            }
        }
        return new Moved(new Marks(kept), lost);
    }

    private static Mark moved(Mark mark, TextDiff edit, List<Word> old, List<Word> now) {
        int first = Integer.MAX_VALUE;
        int last = -1;
        for (Word word : old) {
            if (word.start() < mark.start() || word.end() > mark.end()) {
                continue;
            }
            int start = edit.movedWord(word.start());
            if (start < 0) {
                continue;
            }
            for (Word there : now) {
                if (there.start() <= start && there.end() > start) {
                    first = Math.min(first, there.start());
                    last = Math.max(last, there.end());
                }
            }
        }
        return last < 0 ? null : mark.at(first, last);
    }

    /** A reading belongs to what is written: with other words it is gone. */
    private static Mark movedReading(Mark mark, TextDiff edit, String before, String after) {
        int start = edit.movedWord(mark.start());
        return start >= 0 && after.startsWith(before.substring(mark.start(), mark.end()), start)
                ? mark.at(start, start + mark.end() - mark.start())
                : null;
    }

    /** Those that lie inside the text: what was saved with it stands on its words. */
    public Marks within(String text) {
        return all.stream().allMatch(mark -> mark.end() <= text.length())
                ? this
                : new Marks(
                        all.stream().filter(mark -> mark.end() <= text.length()).toList());
    }

    /** Those that stand on words of the text: the others were made for another one. */
    public Marks on(String text) {
        List<Word> words = Words.of(text);
        // a reading may say a sign that belongs to no word
        return new Marks(all.stream()
                .filter(mark -> mark.instruction() instanceof Instruction.ReadAs && mark.end() <= text.length()
                        || words.stream().anyMatch(word -> word.start() == mark.start())
                                && words.stream().anyMatch(word -> word.end() == mark.end()))
                .toList());
    }
}
