package org.logophon.app.services.project.review;

import java.util.Locale;

/** A kind of event in a cue's history, beside those of its takes. */
public enum Happening {
    WORDS("words changed"),
    RECAST("voice recast"),
    DIRECTED("directed like a take"),
    APPROVED("approved"),
    WITHDRAWN("approval withdrawn"),
    NOTED("noted"),
    NOTE_DONE("note done"),
    NOTE_REOPENED("note reopened"),
    NOTE_DELETED("note deleted");

    private final String label;

    Happening(String label) {
        this.label = label;
    }

    /** For people. */
    public String label() {
        return label;
    }

    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }
}
