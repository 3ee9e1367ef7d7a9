package org.logophon.documents;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.direction.ssml.SsmlReader;

/**
 * SSML 1.1 (W3C Recommendation 2010): each {@code <p>} becomes a cue, a voice's name a role; what directs its words
 * comes along.
 */
final class SsmlFile {

    private SsmlFile() {}

    static OpenedDocument read(String fileName, String name, String text, List<String> remarks) {
        SsmlReader.Document document;
        try {
            document = SsmlReader.read(text);
        } catch (IllegalArgumentException malformed) {
            throw new DocumentUnusable(fileName + ": " + malformed.getMessage() + " Mend it, or save it as text.");
        }
        ScriptText script = new ScriptText();
        for (SsmlCue cue : document.cues()) {
            script.cue(RoleNames.fit(cue.voice()), cue.text());
        }
        List<String> all = new ArrayList<>(remarks);
        all.addAll(document.remarks());
        return OpenedDocument.ofText(name, "SSML", script.toString(), all).with(document.cues(), document.language());
    }
}
