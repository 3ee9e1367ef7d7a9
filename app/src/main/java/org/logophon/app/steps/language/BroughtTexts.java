package org.logophon.app.steps.language;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.documents.OpenedDocument;

/** Words of a document for the cues of a version: by their numbers where it has some, else in order. */
final class BroughtTexts {

    private BroughtTexts() {}

    /**
     * @return by the cues of the version
     * @throws Refused for a document that doesn't say which words are for which cue
     */
    static Map<UUID, String> of(OpenedDocument document, List<VersionRow> rows) {
        List<ScriptCue> cues = Script.parse(document.script()).cues();
        Map<UUID, String> texts = new HashMap<>();
        if (document.numbers().size() == cues.size() && !cues.isEmpty()) {
            Map<String, UUID> byNumber = new HashMap<>();
            rows.forEach(row -> byNumber.put(row.number(), row.cue()));
            for (int i = 0; i < cues.size(); i++) {
                UUID cue = byNumber.get(document.numbers().get(i));
                if (cue != null) {
                    texts.put(cue, cues.get(i).text());
                }
            }
            if (texts.isEmpty()) {
                throw new Refused(
                        document.name() + " has none of the cues’ numbers. Download the table as CSV to see them.");
            }
            return texts;
        }
        if (cues.size() != rows.size()) {
            throw new Refused(("%s has %d paragraphs, and there are %d cues. Give it a paragraph for each cue, or a "
                            + "column with their numbers.")
                    .formatted(document.name(), cues.size(), rows.size()));
        }
        for (int i = 0; i < cues.size(); i++) {
            texts.put(rows.get(i).cue(), cues.get(i).text());
        }
        return texts;
    }
}
