package org.logophon.core.text.script;

import java.util.List;

/**
 * A parsed script.
 *
 * @param cues   in the order of the text
 * @param scenes headings in the order of the text
 * @param notes  lines that are kept and never spoken
 * @param forced cues that splitting by size had to cut inside a sentence, by their place in {@code cues}
 */
public record Script(List<ScriptCue> cues, List<Scene> scenes, List<Note> notes, List<Integer> forced) {

    /** The longest text of a script: 100,000 words and then some. Ours. */
    public static final int MOST_CHARACTERS = 2_000_000;

    /** The most cues of a script. Ours. */
    public static final int MOST_CUES = 20_000;

    /** The role of text that no name stands before. */
    public static final String NARRATOR = "Narrator";

    /** A heading, with its place in the source. */
    public record Scene(int start, int end, String title) {}

    /** A note line, with its place in the source and its text without the slashes. */
    public record Note(int start, int end, String text) {}

    public Script {
        cues = List.copyOf(cues);
        scenes = List.copyOf(scenes);
        notes = List.copyOf(notes);
        forced = List.copyOf(forced);
    }

    /** Parses a script that is split at each blank line. Never fails: any text is a script. */
    public static Script parse(String source) {
        return parse(source, Splitting.DEFAULT, HandCuts.NONE, "en-GB");
    }

    /** @param language BCP 47 tag, for the ends of sentences and for times */
    public static Script parse(String source, Splitting splitting, HandCuts cuts, String language) {
        ScriptParser parser = new ScriptParser(source);
        parser.read();
        CueSplitter splitter = new CueSplitter(splitting, cuts, language);
        List<ScriptCue> cues = splitter.split(parser.paragraphs());
        return new Script(cues, parser.scenes(), parser.notes(), splitter.forced());
    }

    /** The roles in the order in which they first speak. */
    public List<String> roles() {
        return cues.stream().map(ScriptCue::role).distinct().toList();
    }
}
