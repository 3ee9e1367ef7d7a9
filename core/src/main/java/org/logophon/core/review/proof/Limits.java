package org.logophon.core.review.proof;

import java.util.List;
import org.logophon.core.text.script.ScriptCue;

/** Cues that are longer than their voice takes at once, or that nothing can speak. */
final class Limits implements Check {

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        int length = cue.text().length();
        String problem = ScriptCue.problem(cue.text());
        boolean over = length > cue.most();
        if (problem == null && over) {
            problem = "This cue has %,d characters, and its voice takes %,d at once. Split it."
                    .formatted(length, cue.most());
        }
        if (problem != null) {
            int end = Math.min(length, 60);
            List<Suggestion> suggestions = over ? List.of(new Suggestion(Suggestion.Act.SPLIT, "")) : List.of();
            found.add(new Finding(
                    0, end, cue.text().substring(0, end), FindingKind.OVER_LIMIT, problem, "", suggestions, false));
        }
    }
}
