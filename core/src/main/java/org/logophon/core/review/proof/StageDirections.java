package org.logophon.core.review.proof;

import java.util.List;
import java.util.Locale;
import org.logophon.core.review.proof.Suggestion.Act;
import org.logophon.core.text.reading.BracketedDirections;
import org.logophon.core.text.reading.BracketedDirections.Bracketed;

/** Directions in brackets: not spoken, or asked about where that isn't sure. */
final class StageDirections implements Check {

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        List<Bracketed> unspoken = BracketedDirections.unspoken(cue.text());
        for (Bracketed direction : BracketedDirections.in(cue.text())) {
            if (cue.settled(direction.start(), direction.end())) {
                continue;
            }
            String written = cue.text().substring(direction.start(), direction.end());
            boolean silent = unspoken.contains(direction);
            found.add(new Finding(
                    direction.start(),
                    direction.end(),
                    written,
                    FindingKind.STAGE_DIRECTION,
                    silent
                            ? "A direction in brackets isn't spoken. Set a mark for it, and remove it."
                            : "A direction? It would be spoken. Remove it, or make it a note.",
                    silent ? "" : direction.words().toLowerCase(Locale.ROOT),
                    List.of(new Suggestion(Act.REMOVE, written)),
                    false));
        }
    }
}
