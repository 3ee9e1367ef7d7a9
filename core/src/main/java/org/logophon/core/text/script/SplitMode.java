package org.logophon.core.text.script;

/** Where a cue ends when nobody has cut by hand. */
public enum SplitMode {
    BLANK_LINE("blank-line", "each blank line"),
    TWO_BLANK_LINES("two-blank-lines", "two blank lines"),
    LINE("line", "each line"),
    SENTENCE("sentence", "each sentence"),
    HEADING("heading", "headings only"),
    DIVIDER("divider", "a divider line, ---"),
    CHARACTERS("characters", "a number of characters"),
    WORDS("words", "a number of words"),
    SECONDS("seconds", "a number of seconds");

    private final String id;
    private final String title;

    SplitMode(String id, String title) {
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
