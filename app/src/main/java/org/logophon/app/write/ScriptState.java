package org.logophon.app.write;

import java.util.ArrayList;
import java.util.List;
import org.logophon.app.project.CueView;
import org.logophon.app.project.ProjectView;
import org.logophon.script.Script;
import org.logophon.script.ScriptCue;

/**
 * What the margin shows beside the script.
 *
 * @param cues   in order
 * @param scenes headings, for the look of the text
 * @param notes  lines that are never spoken
 */
record ScriptState(int version, List<MarginCue> cues, List<Span> scenes, List<Span> notes, int words, int characters,
                   double seconds, Integer targetSeconds) {

    /** Text from {@code start} to {@code end}, UTF-16 indices. */
    record Span(int start, int end) {
    }

    /** @param colour style class of the role */
    record MarginCue(int start, int end, String number, String role, String colour, double seconds, boolean measured,
                     String state, String problem) {
    }

    static ScriptState of(ProjectView view) {
        Script script = Script.parse(view.project().script());
        List<MarginCue> margin = new ArrayList<>();
        int words = 0;
        for (int i = 0; i < script.cues().size() && i < view.cues().size(); i++) {
            ScriptCue place = script.cues().get(i);
            CueView cue = view.cues().get(i);
            words += cue.cue().words();
            margin.add(new MarginCue(place.start(), place.end(), cue.number(), place.role(),
                    cue.role() == null ? "role-0" : cue.role().colour(), cue.seconds(), cue.measured(), cue.state().style(), cue.problem()));
        }
        int characters = script.cues().stream().mapToInt(c -> c.text().codePointCount(0, c.text().length())).sum();
        return new ScriptState(view.project().scriptVersion(), margin,
                script.scenes().stream().map(s -> new Span(s.start(), s.end())).toList(),
                script.notes().stream().map(n -> new Span(n.start(), n.end())).toList(),
                words, characters, view.seconds(), view.project().targetSeconds());
    }
}
