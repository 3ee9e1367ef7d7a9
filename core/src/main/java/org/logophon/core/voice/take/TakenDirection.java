package org.logophon.core.voice.take;

import java.util.List;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.take.TakeOrigin.VoiceThen;

/**
 * The direction that a cue took over from one of its takes: their direction,
 * voice and rests as they were then. What the cue itself says comes on top, as ever.
 *
 * @param take the take's name, for people
 */
public record TakenDirection(
        String take, Direction project, Direction ofRole, VoiceThen voice, PauseDefaults pauses, int livelyPercent) {

    /** Of a cue that is said by a recording, or in the way of one. */
    public static TakenDirection recorded(String take, VoiceThen voice) {
        return new TakenDirection(take, Direction.NONE, Direction.NONE, voice, PauseDefaults.NONE, 0);
    }

    /** True when a recording is what the cue is said by. */
    public boolean recorded() {
        return voice != null && RecordedVoice.of(voice.id()).isPresent();
    }

    /** What it comes to, for people. */
    public String sentence() {
        return recorded()
                ? "Said by " + voice.name() + " (" + take
                        + "), whatever its role and the script say of pace and pitch. Marks and the cue's "
                        + "own dials are heard."
                : "Directed like " + take + ", whatever its role and the script say now.";
    }

    /** @return null when the take doesn't know enough of itself */
    public static TakenDirection of(String take, TakeOrigin origin) {
        if (origin.voice() != null && RecordedVoice.of(origin.voice().id()).isPresent()) {
            return recorded(take, origin.voice());
        }
        if (origin.voice() == null || origin.project() == null || origin.ofRole() == null) {
            return null;
        }
        return new TakenDirection(
                take,
                origin.project(),
                origin.ofRole(),
                origin.voice(),
                origin.pauses() == null ? PauseDefaults.NONE : origin.pauses(),
                origin.livelyPercent() == null ? 0 : origin.livelyPercent());
    }

    /**
     * The marks of a take as they stand on other words now, with a reading for each place that is read otherwise today
     * than it was then.
     *
     * @param today how the text is said now, by lists of readings and by rule
     */
    public static Marks marks(TakeOrigin origin, String text, List<Pronunciation> today) {
        Marks then = origin.standing().moved(origin.text(), text).marks();
        if (origin.pronunciations() == null || !origin.text().equals(text)) {
            return then;
        }
        Marks all = then;
        for (Pronunciation place : origin.pronunciations()) {
            boolean marked = then.all().stream()
                    .anyMatch(mark -> mark.instruction() instanceof Instruction.ReadAs
                            && mark.start() < place.end()
                            && mark.end() > place.start());
            if (!marked && !today.contains(place)) {
                all = all.with(reading(place, place.words(), place.ipa()), text);
            }
        }
        for (Pronunciation place : today) {
            boolean read =
                    origin.pronunciations().stream().anyMatch(p -> p.start() < place.end() && p.end() > place.start());
            if (!read) {
                all = all.with(reading(place, text.substring(place.start(), place.end()), false), text);
            }
        }
        return all;
    }

    private static Mark reading(Pronunciation place, String words, boolean ipa) {
        return Mark.own(
                place.start(),
                place.end(),
                new Instruction.ReadAs(ipa ? PronunciationKind.IPA : PronunciationKind.WORDS, words));
    }
}
