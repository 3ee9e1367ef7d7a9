package org.logophon.core.review.proof;

import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.review.proof.Suggestion.Act;

/**
 * Directions in brackets: meant for the speaker, and spoken by an engine. Round brackets hold asides too, so those need
 * a word of directing.
 */
final class StageDirections implements Check {

    private static final Pattern BRACKETS = Pattern.compile("\\[[^\\]\\[]{1,80}\\]|\\([^()]{1,40}\\)");
    private static final Pattern DIRECTS = Pattern.compile(
            "(?:laugh|sigh|beat|pause|silen|whisper|cough|cr(?:y|ies)|shout|gasp|smil|nod|clear|music|sfx|fx|fade|"
                    + "sound|breath|sniff|groan|chuckl|giggl|yawn|long|short|v\\.?o\\.?$|o\\.?s\\.?$|vo$|off$|cont|to (?:self|camera|himself|herself)|excited|angr|sad|calm|quiet|soft|slow|fast|loud|"
                    + "\\p{L}+ly$)",
            Pattern.CASE_INSENSITIVE);

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        Matcher brackets = BRACKETS.matcher(cue.text());
        while (brackets.find()) {
            String written = brackets.group();
            String inside = written.substring(1, written.length() - 1).strip();
            boolean square = written.charAt(0) == '[';
            if (!inside.isEmpty()
                    && (square
                            || inside.split("\\s+").length <= 3
                                    && DIRECTS.matcher(inside).lookingAt())
                    && !cue.settled(brackets.start(), brackets.end())) {
                found.add(new Finding(
                        brackets.start(),
                        brackets.end(),
                        written,
                        FindingKind.STAGE_DIRECTION,
                        "A direction in brackets would be read out. Take it out, or make it a note.",
                        inside.toLowerCase(Locale.ROOT),
                        List.of(new Suggestion(Act.REMOVE, written)),
                        false));
            }
        }
    }
}
