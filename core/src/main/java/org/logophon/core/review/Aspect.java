package org.logophon.core.review;

import java.util.function.Function;

/** What of a cue can have changed since it was heard. */
public enum Aspect {
    WORDS("words", Heard::words),
    READINGS("reading", Heard::readings),
    DIRECTION("direction", Heard::direction),
    VOICE("voice", Heard::voice),
    LOUDNESS("loudness", Heard::loudness),
    TAKE("take", Heard::take);

    private final String label;
    private final Function<Heard, String> part;

    Aspect(String label, Function<Heard, String> part) {
        this.label = label;
        this.part = part;
    }

    /** For people. */
    public String label() {
        return label;
    }

    String of(Heard heard) {
        return part.apply(heard);
    }
}
