package org.logophon.documents;

import java.util.List;
import org.logophon.core.delivery.ClipNote;

/** Clips that come back as the script that they were spoken from. */
public final class ClipDocument {

    private ClipDocument() {}

    /** @param clips in the order in which their cues shall stand; at least one */
    public static OpenedDocument of(String name, List<ClipNote> clips) {
        ScriptText script = new ScriptText();
        String scene = "";
        for (ClipNote clip : clips) {
            if (!clip.scene().isEmpty() && !clip.scene().equals(scene)) {
                scene = clip.scene();
                script.heading(scene);
            }
            script.cue(RoleNames.fit(clip.role()), clip.cue().text());
        }
        return OpenedDocument.ofText(name, "clips", script.toString(), List.of())
                .with(clips.stream().map(ClipNote::cue).toList(), clips.get(0).language());
    }
}
