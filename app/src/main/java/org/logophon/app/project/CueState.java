package org.logophon.app.project;

/** Where a cue stands between script and delivery. */
public enum CueState {
    READY("ready"),
    CHANGED("changed"),
    NEW("not rendered"),
    RENDERING("rendering"),
    PROBLEM("needs a look");

    private final String word;

    CueState(String word) {
        this.word = word;
    }

    public String label() {
        return word;
    }

    /** Style class. */
    public String style() {
        return "state-" + name().toLowerCase(java.util.Locale.ROOT);
    }
}
