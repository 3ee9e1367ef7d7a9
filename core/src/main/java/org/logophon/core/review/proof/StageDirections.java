package org.logophon.core.review.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.direction.mark.DirectionMarks;
import org.logophon.core.review.proof.Suggestion.Act;
import org.logophon.core.text.reading.BracketedDirections;
import org.logophon.core.text.reading.BracketedDirections.Bracketed;

/**
 * Directions in brackets: not spoken, or asked about where that isn't sure; and words of directing that stand alone.
 */
final class StageDirections implements Check {

    /** "Laughs.": a sentence of one word, which an actor does and nobody says. */
    private static final Pattern ALONE =
            Pattern.compile("(?:^|(?<=[.!?…]\\s))(?:Laughs|Laughing|Sighs|Sighing|Beat|Pause|Coughs|"
                    + "Gasps|Whispers|Whispering|Chuckles|Giggles|Groans|Sniffs|Yawns|Nods|Smiles)[.!…]?(?=\\s|$)");

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        List<Bracketed> unspoken = BracketedDirections.unspoken(cue.text());
        for (Bracketed direction : BracketedDirections.in(cue.text())) {
            if (cue.settled(direction.start(), direction.end())) {
                continue;
            }
            String written = cue.text().substring(direction.start(), direction.end());
            boolean silent = unspoken.contains(direction);
            List<Suggestion> suggestions = new ArrayList<>();
            DirectionMarks.of(cue.text(), direction, cue.language())
                    .ifPresent(mark -> suggestions.add(new Suggestion(Act.MARK, DirectionMarks.told(mark))));
            suggestions.add(new Suggestion(Act.REMOVE, written));
            found.add(new Finding(
                    direction.start(),
                    direction.end(),
                    written,
                    FindingKind.STAGE_DIRECTION,
                    silent
                            ? unspoken(suggestions.size() > 1)
                            : "A direction? It would be spoken. Remove it, or make it a note.",
                    silent ? "" : direction.words().toLowerCase(Locale.ROOT),
                    suggestions,
                    false));
        }
        if (cue.english()) {
            alone(cue, found);
        }
    }

    private static String unspoken(boolean marked) {
        return marked
                ? "A direction in brackets isn't spoken. Set a mark for it, or remove it."
                : "A direction in brackets isn't spoken, and there is no mark for it. Remove it, or leave it.";
    }

    private static void alone(CueToProof cue, List<Finding> found) {
        Matcher word = ALONE.matcher(cue.text());
        while (word.find()) {
            if (!cue.settled(word.start(), word.end())) {
                found.add(new Finding(
                        word.start(),
                        word.end(),
                        word.group(),
                        FindingKind.STAGE_DIRECTION,
                        "A direction? It would be spoken. Remove it, or make it a note.",
                        "",
                        List.of(new Suggestion(Act.REMOVE, word.group())),
                        false));
            }
        }
    }
}
