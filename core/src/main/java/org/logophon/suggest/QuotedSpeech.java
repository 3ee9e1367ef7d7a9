package org.logophon.suggest;

import java.util.ArrayList;
import java.util.List;
import org.logophon.mark.Ask;
import org.logophon.mark.Mark;
import org.logophon.mark.Marks;
import org.logophon.script.Quotations;
import org.logophon.script.Word;
import org.logophon.script.Words;

/** Quotations in a cue, and who says them: another role, or the cue's own voice with a small turn. */
public final class QuotedSpeech {

    /** How a reader lets a quotation be heard with one voice. Ours. */
    private static final Ask.Pitch TURN_PITCH = new Ask.Pitch(1);
    private static final Ask.Pace TURN_PACE = new Ask.Pace(95);
    private static final Ask.Pause BEFORE = new Ask.Pause(200);

    private QuotedSpeech() {
    }

    /** Who says a quotation. */
    public enum Way { PLAIN, TURNED, ROLE }

    /**
     * A quotation.
     *
     * @param role who says it when another does; else empty
     */
    public record Quotation(int start, int end, Way way, String role) {
    }

    public static List<Quotation> in(String text, Marks marks) {
        List<Quotation> found = new ArrayList<>();
        for (Word words : Quotations.of(text)) {
            List<Mark> own = marks.heard().stream().filter(mark -> mark.start() == words.start() && mark.end() == words.end()).toList();
            String role = own.stream().filter(mark -> mark.ask() instanceof Ask.Role).map(mark -> mark.ask().value()).findFirst().orElse("");
            boolean turned = own.stream().anyMatch(mark -> mark.ask().equals(TURN_PITCH)) && own.stream().anyMatch(mark -> mark.ask().equals(TURN_PACE));
            found.add(new Quotation(words.start(), words.end(), !role.isEmpty() ? Way.ROLE : turned ? Way.TURNED : Way.PLAIN, role));
        }
        return found;
    }

    /**
     * Lets a quotation be said in another way. A short rest comes before it, unless there is one that somebody set; it goes
     * again with the way that brought it.
     *
     * @param role only for {@link Way#ROLE}
     * @throws IllegalArgumentException with a sentence when there is no such quotation
     */
    public static Marks said(Marks marks, String text, int start, int end, Way way, String role) {
        if (Quotations.of(text).stream().noneMatch(words -> words.start() == start && words.end() == end)) {
            throw new IllegalArgumentException("This quotation isn't in the cue any more. Reload the page.");
        }
        Word before = Words.of(text).stream().filter(word -> word.end() <= start).reduce((first, second) -> second).orElse(null);
        Marks said = new Marks(marks.all().stream().filter(mark -> !(mark.start() == start && mark.end() == end && isWay(mark.ask())))
                .filter(mark -> before == null || mark.start() != before.start() || !mark.ask().equals(BEFORE)).toList());
        if (way == Way.PLAIN) {
            return said;
        }
        boolean rests = before == null || said.heard().stream().anyMatch(mark -> mark.end() == before.end() && mark.ask() instanceof Ask.Pause);
        said = rests ? said : said.with(Mark.own(before.start(), before.end(), BEFORE), text);
        return way == Way.ROLE ? said.with(Mark.own(start, end, new Ask.Role(role)), text)
                : said.with(Mark.own(start, end, TURN_PITCH), text).with(Mark.own(start, end, TURN_PACE), text);
    }

    private static boolean isWay(Ask ask) {
        return ask instanceof Ask.Role || ask.equals(TURN_PITCH) || ask.equals(TURN_PACE);
    }
}
