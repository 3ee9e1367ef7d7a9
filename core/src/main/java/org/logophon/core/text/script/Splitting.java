package org.logophon.core.text.script;

import java.util.Arrays;
import org.logophon.core.input.InvalidInput;

/**
 * A way of splitting with its size.
 *
 * @param limit most characters, words or seconds of a cue when splitting by size; 0 otherwise
 */
public record Splitting(SplitMode mode, int limit) {

    public static final Splitting DEFAULT = new Splitting(SplitMode.BLANK_LINE, 0);

    public Splitting {
        if (limit < mode.least() || limit > mode.most()) {
            throw new InvalidInput("Cues can be split at %d to %,d %s, not at %,d."
                    .formatted(mode.least(), mode.most(), mode.id(), limit));
        }
    }

    /**
     * Reads {@code blank-line}, {@code sentence}, {@code words:40}…
     *
     * @throws InvalidInput with a sentence when it is none
     */
    public static Splitting parse(String text) {
        String[] parts = text.strip().split(":", 2);
        SplitMode mode = Arrays.stream(SplitMode.values())
                .filter(w -> w.id().equalsIgnoreCase(parts[0]))
                .findFirst()
                .orElse(null);
        if (mode == null || mode.sized() != (parts.length == 2) || mode.sized() && !parts[1].matches("\\d{1,6}")) {
            throw new InvalidInput(
                    "\"" + text + "\" is no way to split a script. Use blank-line, two-blank-lines, line, sentence, "
                            + "heading, divider, characters:N, words:N or seconds:N.");
        }
        return new Splitting(mode, mode.sized() ? Integer.parseInt(parts[1]) : 0);
    }

    /** As {@link #parse} reads it. */
    public String id() {
        return mode.sized() ? mode.id() + ":" + limit : mode.id();
    }
}
