package org.logophon.core.review.suggest;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.text.script.Quotations;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;

/** Quotations in a cue, and who says them: another role, or the cue's own voice with a small turn. */
public final class QuotedSpeech {

    /** How a reader lets a quotation be heard with one voice. Ours. */
    private static final Instruction.Pitch TURN_PITCH = new Instruction.Pitch(1);

    private static final Instruction.Pace TURN_PACE = new Instruction.Pace(95);
    private static final Instruction.Pause BEFORE = new Instruction.Pause(200);

    private QuotedSpeech() {}

    /** Who says a quotation. */
    public enum Voicing {
        PLAIN,
        TURNED,
        ROLE
    }

    /**
     * A quotation.
     *
     * @param role who says it when another does; else empty
     */
    public record Quotation(int start, int end, Voicing voicing, String role) {}

    public static List<Quotation> in(String text, Marks marks) {
        List<Quotation> found = new ArrayList<>();
        for (Word words : Quotations.of(text)) {
            List<Mark> own = marks.heard().stream()
                    .filter(mark -> mark.start() == words.start() && mark.end() == words.end())
                    .toList();
            String role = own.stream()
                    .filter(mark -> mark.instruction() instanceof Instruction.SpokenBy)
                    .map(mark -> mark.instruction().value())
                    .findFirst()
                    .orElse("");
            boolean turned = own.stream().anyMatch(mark -> mark.instruction().equals(TURN_PITCH))
                    && own.stream().anyMatch(mark -> mark.instruction().equals(TURN_PACE));
            found.add(new Quotation(
                    words.start(),
                    words.end(),
                    !role.isEmpty() ? Voicing.ROLE : turned ? Voicing.TURNED : Voicing.PLAIN,
                    role));
        }
        return found;
    }

    /**
     * Lets a quotation be said in another way. A short rest comes before it, unless there is one that somebody set; it
     * goes
     * again with the way that brought it.
     *
     * @param role only for {@link Voicing#ROLE}
     * @throws InvalidInput with a sentence when there is no such quotation
     */
    public static Marks said(Marks marks, String text, int start, int end, Voicing voicing, String role) {
        if (Quotations.of(text).stream().noneMatch(words -> words.start() == start && words.end() == end)) {
            throw new InvalidInput("This quotation isn't in the cue any more. Reload the page.");
        }
        Word before = Words.of(text).stream()
                .filter(word -> word.end() <= start)
                .reduce((first, second) -> second)
                .orElse(null);
        Marks said = new Marks(marks.all().stream()
                .filter(mark -> !(mark.start() == start && mark.end() == end && isVoicing(mark.instruction())))
                .filter(mark -> before == null
                        || mark.start() != before.start()
                        || !mark.instruction().equals(BEFORE))
                .toList());
        if (voicing == Voicing.PLAIN) {
            return said;
        }
        boolean rests = before == null
                || said.heard().stream()
                        .anyMatch(
                                mark -> mark.end() == before.end() && mark.instruction() instanceof Instruction.Pause);
        said = rests ? said : said.with(Mark.own(before.start(), before.end(), BEFORE), text);
        return voicing == Voicing.ROLE
                ? said.with(Mark.own(start, end, new Instruction.SpokenBy(role)), text)
                : said.with(Mark.own(start, end, TURN_PITCH), text).with(Mark.own(start, end, TURN_PACE), text);
    }

    private static boolean isVoicing(Instruction instruction) {
        return instruction instanceof Instruction.SpokenBy
                || instruction.equals(TURN_PITCH)
                || instruction.equals(TURN_PACE);
    }
}
