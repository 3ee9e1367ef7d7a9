package org.logophon.script;

import java.util.List;

/**
 * A parsed script.
 *
 * @param cues   in the order of the text
 * @param scenes headings in the order of the text
 * @param notes  lines that are kept and never spoken
 */
public record Script(List<ScriptCue> cues, List<Scene> scenes, List<Note> notes) {

    /** The role of text that no name stands before. */
    public static final String NARRATOR = "Narrator";

    /** A heading, with its place in the source. */
    public record Scene(int start, int end, String title) {
    }

    /** A note line, with its place in the source and its text without the slashes. */
    public record Note(int start, int end, String text) {
    }

    public Script {
        cues = List.copyOf(cues);
        scenes = List.copyOf(scenes);
        notes = List.copyOf(notes);
    }

    /** Parses a script that is split at each blank line. Never fails: any text is a script. */
    public static Script parse(String source) {
        return new ScriptParser(source).parse();
    }

    /** The roles in the order in which they first speak. */
    public List<String> roles() {
        return cues.stream().map(ScriptCue::role).distinct().toList();
    }
}
