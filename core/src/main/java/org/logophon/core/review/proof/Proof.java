package org.logophon.core.review.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.voice.Voice;

/** Runs every check over a cue. Safe for use by several threads. */
public final class Proof {

    private static final Check LIMITS = new Limits();
    private static final Check HOMOGRAPHS = new Homographs();

    private final List<Check> checks;

    /** @param voices that a cue in another language could be cast with */
    public Proof(List<WatchWord> watched, LanguageGuess guess, List<Voice> voices) {
        checks = List.of(
                LIMITS,
                new OtherLanguages(guess, voices),
                new Forms(),
                HOMOGRAPHS,
                new UnknownWords(),
                new SentenceChecks(),
                new DoubledWords(),
                new WatchList(watched),
                new StageDirections());
    }

    /**
     * In the order of the text. A cue in another language has that finding alone: its words are no strangers, its voice
     * is. One that no voice can say at once has that finding alone, too: its parts are looked at once it is split.
     */
    public List<Finding> of(CueToProof cue) {
        List<Finding> found = new ArrayList<>();
        if (cue.text().length() > ScriptCue.MOST_CHARACTERS) {
            LIMITS.look(cue, found);
            return List.copyOf(found);
        }
        for (Check check : checks) {
            check.look(cue, found);
            if (check instanceof OtherLanguages && found.stream().anyMatch(f -> f.kind() == FindingKind.LANGUAGE)) {
                return List.copyOf(found);
            }
        }
        List<Finding> directions = found.stream()
                .filter(f -> f.kind() == FindingKind.STAGE_DIRECTION)
                .toList();
        found.removeIf(f -> f.kind() != FindingKind.STAGE_DIRECTION
                && directions.stream().anyMatch(d -> d.start() <= f.start() && f.end() <= d.end()));
        found.sort(Comparator.comparingInt(Finding::start).thenComparingInt(Finding::end));
        return List.copyOf(found);
    }
}
