package org.logophon.app.services.project.take;

/** A rule by which one take of each cue is chosen. */
public enum TakeChoice {
    NEWEST("newest", "t.created_at desc, t.ordinal desc", "true"),
    SHORTEST("shortest", "w.samples::float8 / w.sample_rate, t.ordinal desc", "true"),
    STARRED("starred", "t.created_at desc, t.ordinal desc", "t.starred");

    private final String label;
    private final String order;
    private final String which;

    TakeChoice(String label, String order, String which) {
        this.label = label;
        this.order = order;
        this.which = which;
    }

    /** For people. */
    public String label() {
        return label;
    }

    String order() {
        return order;
    }

    String which() {
        return which;
    }
}
