package org.logophon.app.services.project;

import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Locale;

/** A cue's state between script and delivery. */
public enum CueState {
    READY("ready"),
    CHANGED("changed"),
    NEW("not rendered"),
    RENDERING("rendering"),
    PROBLEM("to check");

    private final String label;

    CueState(String label) {
        this.label = label;
    }

    /** For people. */
    public String label() {
        return label;
    }

    /** For pages: {@code ready}. */
    @JsonValue
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }
}
