package org.logophon.core.text.script;

/** A way of splitting: where a cue ends unless cut by hand. */
public enum SplitMode {
    BLANK_LINE("blank-line", "each blank line"),
    TWO_BLANK_LINES("two-blank-lines", "two blank lines"),
    LINE("line", "each line"),
    SENTENCE("sentence", "each sentence"),
    HEADING("heading", "headings only"),
    DIVIDER("divider", "a divider line, ---"),
    CHARACTERS("characters", "a number of characters", 20, 300, ScriptCue.MOST_CHARACTERS),
    WORDS("words", "a number of words", 3, 40, 1_000),
    SECONDS("seconds", "a number of seconds", 2, 20, 600);

    private final String id;
    private final String title;
    private final int least;
    private final int usual;
    private final int most;

    SplitMode(String id, String title) {
        this(id, title, 0, 0, 0);
    }

    SplitMode(String id, String title, int least, int usual, int most) {
        this.id = id;
        this.title = title;
        this.least = least;
        this.usual = usual;
        this.most = most;
    }

    public String id() {
        return id;
    }

    /** Ends the words "new cue at …". */
    public String title() {
        return title;
    }

    /** Whether it splits by size: into cues of so many of something at most. */
    public boolean sized() {
        return most > 0;
    }

    /** The smallest size of a cue; 0 for ways without one. */
    public int least() {
        return least;
    }

    /** The size that is offered first; 0 for ways without one. */
    public int usual() {
        return usual;
    }

    /** The largest size of a cue; 0 for ways without one. */
    public int most() {
        return most;
    }
}
