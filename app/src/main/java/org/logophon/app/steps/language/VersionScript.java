package org.logophon.app.steps.language;

import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import org.logophon.app.platform.failure.Refused;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.documents.ScriptText;

/** The script of a version: scenes and roles of the first language, a paragraph for each cue. */
final class VersionScript {

    private static final String MISTAKEN =
            "The words of cue %s would be read as a heading, a note or a name. Rephrase them.";

    private VersionScript() {}

    /** A cue to be. @param text in one paragraph */
    record TranslatedCue(String number, String scene, String role, String text) {}

    /** @throws Refused for words that a script can't hold as one cue of its role */
    static String of(List<TranslatedCue> lines) {
        ScriptText script = new ScriptText();
        String scene = "";
        for (TranslatedCue line : lines) {
            if (!line.scene().equals(scene)) {
                script.heading(line.scene());
                scene = line.scene();
            }
            script.cue(line.role(), line.text());
        }
        String text = script.toString();
        check(lines, text);
        return text;
    }

    private static void check(List<TranslatedCue> lines, String text) {
        List<ScriptCue> cues = Script.parse(text).cues();
        for (int i = 0; i < lines.size(); i++) {
            if (i >= cues.size()
                    || !cues.get(i)
                            .text()
                            .equals(ScriptText.oneLine(lines.get(i).text()))) {
                throw new Refused("The words of cue " + lines.get(i).number()
                        + " would be read as a heading, a note or a name. Rephrase them.");
            }
        }
        if (cues.size() != lines.size()) {
            throw new Refused("The script would have other cues than the original. Nothing was changed.");
        }
    }

    /**
     * Another text in place of a cue's.
     *
     * @param reading how the project reads a script
     * @param index of the cue
     * @throws Refused as {@link #of}
     */
    static String with(Function<String, Script> reading, String source, int index, String number, String text) {
        Script script = reading.apply(source);
        ScriptCue cue = script.cues().get(index);
        String words = ScriptText.oneLine(text);
        int from = cue.sourceAt(0);
        int to = cue.sourceAt(cue.text().length() - 1) + 1;
        // what would be read as a heading, a note or a name keeps its words behind the name of its role
        for (String before : List.of("", cue.role().toUpperCase(Locale.ROOT) + ": ")) {
            String changed = source.substring(0, from) + before + words + source.substring(to);
            List<ScriptCue> cues = reading.apply(changed).cues();
            if (cues.size() == script.cues().size()
                    && cues.get(index).text().equals(words)
                    && cues.get(index).role().equalsIgnoreCase(cue.role())) {
                return changed;
            }
        }
        throw new Refused(MISTAKEN.formatted(number));
    }
}
