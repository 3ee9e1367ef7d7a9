package org.logophon.core.review;

import java.util.function.Function;

/** What of a cue can have changed since it was heard. */
public enum Aspect {
    WORDS("words", ApprovalState::words),
    READINGS("reading", ApprovalState::readings),
    DIRECTION("direction", ApprovalState::direction),
    VOICE("voice", ApprovalState::voice),
    LOUDNESS("loudness", ApprovalState::loudness),
    TAKE("take", ApprovalState::take);

    private final String label;
    private final Function<ApprovalState, String> part;

    Aspect(String label, Function<ApprovalState, String> part) {
        this.label = label;
        this.part = part;
    }

    /** For people. */
    public String label() {
        return label;
    }

    String of(ApprovalState heard) {
        return part.apply(heard);
    }
}
