package org.logophon.app.services.script;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.ScriptShape;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.ScriptCue;

/**
 * The script as pages show it.
 *
 * @param text   null when the page has it already
 * @param cues   in order
 * @param scenes headings, for the look of the text
 * @param notes  lines that are never spoken
 * @param report what the last change did; null when nothing was changed
 * @param undo   true when there is a state to go back to
 * @param saved  how many states are kept
 */
record ScriptState(
        int version,
        String text,
        List<MarginCue> cues,
        List<Span> scenes,
        List<Span> notes,
        int words,
        int characters,
        double seconds,
        Integer targetSeconds,
        String splitting,
        String numbers,
        boolean frozen,
        ScriptChangeReport report,
        boolean undo,
        boolean redo,
        int saved) {

    /** Text from {@code start} to {@code end}, UTF-16 indices. */
    record Span(int start, int end) {}

    /**
     * @param first  where its first word stands in the text
     * @param byHand true when it starts where a hand cut
     * @param colour of the role, a place in the palette
     * @param tooLong longer than is easy to hear and to redo
     * @param uncast true when it waits for a voice of its role alone
     * @param slot   seconds that the picture leaves; null when nobody said
     */
    record MarginCue(
            UUID id,
            int start,
            int end,
            int first,
            boolean byHand,
            String number,
            String role,
            int colour,
            double seconds,
            boolean measured,
            boolean tooLong,
            boolean uncast,
            Double slot,
            CueState state,
            String problem) {}

    static ScriptState of(
            ProjectView view,
            Script script,
            ScriptChangeReport report,
            boolean withText,
            ScriptVersions.VersionEntry line,
            int saved) {
        ScriptShape shape = view.project().shape();
        List<MarginCue> margin = new ArrayList<>();
        int words = 0;
        int characters = 0;
        for (int i = 0; i < script.cues().size() && i < view.cues().size(); i++) {
            ScriptCue place = script.cues().get(i);
            CueView cue = view.cues().get(i);
            words += cue.cue().words();
            characters += place.text().codePointCount(0, place.text().length());
            Double slot = cue.cue().slot() == null
                    ? null
                    : (cue.cue().slot().outMillis() - cue.cue().slot().inMillis()) / 1000.0;
            margin.add(new MarginCue(
                    cue.id(),
                    place.start(),
                    place.end(),
                    place.sourceAt(0),
                    shape.cuts().splits().contains(place.sourceAt(0)),
                    cue.number(),
                    place.role(),
                    cue.role() == null ? 0 : cue.role().colour(),
                    cue.seconds(),
                    cue.measured(),
                    cue.seconds() > ScriptCue.LONG_SECONDS,
                    cue.voice() == null && ScriptCue.problem(place.text()) == null,
                    slot,
                    cue.state(),
                    cue.problem()));
        }
        return new ScriptState(
                view.project().scriptVersion(),
                withText ? view.project().script() : null,
                margin,
                script.scenes().stream().map(s -> new Span(s.start(), s.end())).toList(),
                script.notes().stream().map(n -> new Span(n.start(), n.end())).toList(),
                words,
                characters,
                view.seconds(),
                view.project().targetSeconds(),
                shape.splitting().id(),
                shape.numbers().at(0) + ", " + shape.numbers().at(1) + ", "
                        + shape.numbers().at(2),
                shape.frozen(),
                report,
                line != null && line.back() != null,
                line != null && line.forward() != null,
                saved);
    }
}
