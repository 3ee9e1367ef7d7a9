package org.logophon.app.services.script;

import java.util.List;
import java.util.UUID;

/**
 * The report of what a change of the script did to its cues.
 *
 * @param kept    unchanged
 * @param changed numbers of cues whose words changed
 * @param added   numbers of new ones
 * @param gone    that left the script; they can be restored
 * @param lost    words whose reading of their own went with them
 */
public record ScriptChangeReport(
        int kept, List<String> changed, List<String> added, List<Gone> gone, List<String> lost) {

    static final ScriptChangeReport NOTHING = new ScriptChangeReport(0, List.of(), List.of(), List.of(), List.of());

    /** A cue that left. */
    public record Gone(UUID id, String number, String text) {}
}
