package org.logophon.script;

import java.util.Arrays;

/**
 * Where a cue ends.
 *
 * @param limit most characters, words or seconds of a cue when splitting by size; 0 otherwise
 */
public record Splitting(Way way, int limit) {

    public static final Splitting DEFAULT = new Splitting(Way.BLANK_LINE, 0);

    /** Ways to split. */
    public enum Way {
        BLANK_LINE("blank-line", "each blank line"), TWO_BLANK_LINES("two-blank-lines", "two blank lines"), LINE("line", "each line"),
        SENTENCE("sentence", "each sentence"), HEADING("heading", "headings only"), DIVIDER("divider", "a divider line, ---"),
        CHARACTERS("characters", "a number of characters"), WORDS("words", "a number of words"), SECONDS("seconds", "a number of seconds");

        private final String id;
        private final String title;

        Way(String id, String title) {
            this.id = id;
            this.title = title;
        }

        public String id() {
            return id;
        }

        /** Ends the words "new cue at …". */
        public String title() {
            return title;
        }

        public boolean sized() {
            return ordinal() >= CHARACTERS.ordinal();
        }
    }

    public Splitting {
        int least = switch (way) {
            case CHARACTERS -> 20;
            case WORDS -> 3;
            case SECONDS -> 2;
            default -> 0;
        };
        int most = switch (way) {
            case CHARACTERS -> ScriptCue.MOST_CHARACTERS;
            case WORDS -> 1_000;
            case SECONDS -> 600;
            default -> 0;
        };
        if (limit < least || limit > most) {
            throw new IllegalArgumentException("Cues can be split at %d to %,d %s, not at %,d.".formatted(least, most, way.id(), limit));
        }
    }

    /**
     * Reads {@code blank-line}, {@code sentence}, {@code words:40}…
     *
     * @throws IllegalArgumentException with a sentence when it is none
     */
    public static Splitting parse(String text) {
        String[] parts = text.strip().split(":", 2);
        Way way = Arrays.stream(Way.values()).filter(w -> w.id.equalsIgnoreCase(parts[0])).findFirst().orElse(null);
        if (way == null || way.sized() != (parts.length == 2) || way.sized() && !parts[1].matches("\\d{1,6}")) {
            throw new IllegalArgumentException("\"" + text + "\" is no way to split a script. Use blank-line, two-blank-lines, line, sentence, "
                    + "heading, divider, characters:N, words:N or seconds:N.");
        }
        return new Splitting(way, way.sized() ? Integer.parseInt(parts[1]) : 0);
    }

    /** As {@link #parse} reads it. */
    public String id() {
        return way.sized() ? way.id + ":" + limit : way.id;
    }
}
