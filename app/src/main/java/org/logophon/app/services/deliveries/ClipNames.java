package org.logophon.app.services.deliveries;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.core.delivery.ClipFields;
import org.logophon.core.delivery.FileNames;
import org.logophon.core.input.InvalidInput;

/** The file names of a project's clips. */
final class ClipNames {

    private ClipNames() {}

    /**
     * Names for the cues that have a kept take, by their ids, in the order of the programme.
     *
     * @param extension without its dot
     * @throws InvalidInput for a bad pattern
     */
    static Map<UUID, FileNames.Name> names(ProjectView view, String pattern, String extension) {
        FileNames names = new FileNames(pattern);
        Map<UUID, FileNames.Name> named = new LinkedHashMap<>();
        for (CueView cue : delivered(view)) {
            named.put(cue.id(), names.named(fields(view, cue), extension));
        }
        return named;
    }

    static List<CueView> delivered(ProjectView view) {
        List<CueView> delivered = new ArrayList<>();
        for (CueView cue : view.cues()) {
            if (cue.keptTake() != null) {
                delivered.add(cue);
            }
        }
        return delivered;
    }

    private static ClipFields fields(ProjectView view, CueView cue) {
        return new ClipFields(
                cue.number(),
                cue.cue().text(),
                cue.cue().role(),
                cue.voice() == null ? "" : cue.voice().name(),
                "",
                cue.cue().scene(),
                view.project().name());
    }
}
