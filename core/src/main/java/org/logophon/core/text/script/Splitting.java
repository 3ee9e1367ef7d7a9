package org.logophon.core.text.script;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.TreeSet;
import org.logophon.core.input.InvalidInput;

/**
 * A way of splitting with its size.
 *
 * @param limit most characters, words or seconds of a cue when splitting by size; 0 otherwise
 * @param tempo seconds that the slowest of its voices takes for what an average voice says in one, when splitting by
 *     seconds; 1 otherwise, and where no voice is known. It stays with the script: another voice changes no cue
 */
public record Splitting(SplitMode mode, int limit, double tempo) {

    public static final Splitting DEFAULT = new Splitting(SplitMode.BLANK_LINE, 0);

    private static final double LEAST_TEMPO = 0.1;
    private static final double MOST_TEMPO = 10;

    public Splitting {
        if (limit < mode.least() || limit > mode.most()) {
            throw new InvalidInput("Cues can be split at %d to %,d %s, not at %,d."
                    .formatted(mode.least(), mode.most(), mode.id(), limit));
        }
        if (mode != SplitMode.SECONDS && tempo != 1 || !(tempo >= LEAST_TEMPO && tempo <= MOST_TEMPO)) {
            throw new InvalidInput("A script can't be split for a voice that takes " + tempo + " times the usual.");
        }
    }

    public Splitting(SplitMode mode, int limit) {
        this(mode, limit, 1);
    }

    /**
     * Reads {@code blank-line}, {@code sentence}, {@code words:40}, {@code seconds:40:1.08}…
     *
     * @throws InvalidInput with a sentence when it is none
     */
    public static Splitting parse(String text) {
        String[] parts = text.strip().split(":", 3);
        SplitMode mode = Arrays.stream(SplitMode.values())
                .filter(w -> w.id().equalsIgnoreCase(parts[0]))
                .findFirst()
                .orElse(null);
        boolean timed = mode == SplitMode.SECONDS && parts.length == 3 && parts[2].matches("\\d{1,2}(\\.\\d{1,3})?");
        if (mode == null
                || !timed && mode.sized() != (parts.length == 2)
                || mode.sized() && !parts[1].matches("\\d{1,6}")) {
            throw new InvalidInput(
                    "\"" + text + "\" is no way to split a script. Use blank-line, two-blank-lines, line, sentence, "
                            + "heading, divider, characters:N, words:N or seconds:N.");
        }
        return new Splitting(
                mode, mode.sized() ? Integer.parseInt(parts[1]) : 0, timed ? Double.parseDouble(parts[2]) : 1);
    }

    /** The same for voices of a tempo; itself when it isn't by seconds. */
    public Splitting at(double voices) {
        double within = Math.max(LEAST_TEMPO, Math.min(MOST_TEMPO, voices));
        return mode == SplitMode.SECONDS ? new Splitting(mode, limit, Math.round(within * 1_000) / 1_000.0) : this;
    }

    /**
     * Where new cues would start inside a text that is split by size: at ends of sentences, and inside one only where
     * it is over the size itself.
     *
     * @return indexes of words, in order
     */
    public List<Integer> starts(String text, String language) {
        TreeSet<Integer> ends = new TreeSet<>();
        SizeSplitter.ends(text, this, language, ends, new TreeSet<>());
        List<Integer> starts = new ArrayList<>();
        for (Word word : Words.of(text)) {
            if (ends.headSet(word.start(), true).pollFirst() != null && word.start() > 0) {
                starts.add(word.start());
                ends.headSet(word.start(), true).clear();
            }
        }
        return starts;
    }

    /** As {@link #parse} reads it. */
    public String id() {
        String sized = mode.sized() ? mode.id() + ":" + limit : mode.id();
        return tempo == 1 ? sized : String.format(Locale.ROOT, "%s:%.3f", sized, tempo);
    }
}
