package org.logophon.app.services.project;

import org.logophon.core.text.script.CueNumbers;
import org.logophon.core.text.script.HandCuts;
import org.logophon.core.text.script.Splitting;

/**
 * The splitting and numbering of a script.
 *
 * @param frozen true from the first delivery on, or when numbers came with the script: a cue keeps its number
 */
public record ScriptShape(Splitting splitting, HandCuts cuts, CueNumbers numbers, boolean frozen) {

    public static final ScriptShape DEFAULT =
            new ScriptShape(Splitting.DEFAULT, HandCuts.NONE, CueNumbers.DEFAULT, false);

    public ScriptShape with(Splitting other) {
        return new ScriptShape(other, cuts, numbers, frozen);
    }

    public ScriptShape with(HandCuts other) {
        return new ScriptShape(splitting, other, numbers, frozen);
    }

    public ScriptShape with(CueNumbers other) {
        return new ScriptShape(splitting, cuts, other, frozen);
    }

    public ScriptShape frozen(boolean now) {
        return new ScriptShape(splitting, cuts, numbers, now);
    }
}
