package org.logophon.core.voice.take;

import java.util.List;
import java.util.Map;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.text.reading.PlacedReading;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.reading.SaidByRule;

/** A take's words with all that said how they were spoken, as SSML holds it: as they were, not as the cue is now. */
public final class TakeScore {

    private TakeScore() {}

    /**
     * @param cast     ids of voices by role, for marks that name one
     * @param language of the voice, BCP 47: what its rules say of written forms needs no reading
     */
    public static SsmlCue of(TakeOrigin origin, Map<String, String> cast, String language) {
        Direction direction = ResolvedDirection.of(
                        known(origin.project()), known(origin.ofRole()), known(origin.ofCue()))
                .asOne();
        Marks marks = origin.standing();
        return new SsmlCue(
                origin.text(),
                origin.voice() == null ? "" : origin.voice().id(),
                direction,
                marks,
                readings(origin, marks, language),
                cast);
    }

    private static Direction known(Direction direction) {
        return direction == null ? Direction.NONE : direction;
    }

    /**
     * Readings that no mark says already, and none that a mark's run ends or starts in: an element holds nothing but
     * its words.
     */
    private static List<PlacedReading> readings(TakeOrigin origin, Marks marks, String language) {
        if (origin.pronunciations() == null) {
            return List.of();
        }
        List<Pronunciation> byRule = SaidByRule.of(origin.text(), language);
        return origin.pronunciations().stream()
                .filter(place -> !byRule.contains(place))
                .filter(place -> marks.all().stream().noneMatch(mark -> collides(mark, place)))
                .map(place -> placed(origin.text(), place))
                .toList();
    }

    private static boolean collides(Mark mark, Pronunciation place) {
        if (mark.instruction().onGap()) {
            return false;
        }
        boolean over = mark.start() < place.end() && mark.end() > place.start();
        boolean within = mark.start() <= place.start() && mark.end() >= place.end();
        return over && (mark.instruction() instanceof Instruction.ReadAs || !within);
    }

    /** A pronunciation as a reading of its own place. */
    public static PlacedReading placed(String text, Pronunciation place) {
        return new PlacedReading(
                place.start(),
                new Reading(
                        text.substring(place.start(), place.end()),
                        place.words(),
                        place.ipa() ? PronunciationKind.IPA : PronunciationKind.WORDS,
                        null,
                        true));
    }
}
