package org.logophon.app.steps.direct;

import java.util.List;
import java.util.stream.IntStream;
import org.logophon.app.services.project.CueView;
import org.logophon.core.direction.phrasing.PhraseMove;
import org.logophon.core.direction.phrasing.PhrasePart;
import org.logophon.core.direction.phrasing.Phrasing;
import org.logophon.core.text.estimate.Estimate;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;

/**
 * One thing that phrasing does to a cue, as its score shows it.
 *
 * @param from     its first word
 * @param to       its last word
 * @param move     what it is: rest, rise, fall, level, accent, stressed, unstressed, span
 * @param sentence why, and what comes of it
 * @param own      true where marks can do the same
 */
record PhrasedCue(int from, int to, int start, int end, String move, String sentence, boolean own) {

    /** How much of it is heard, in per cent; 0 where a cue has no voice, or a person has said it. */
    static int percent(CueView cue) {
        return cue.recipe() == null ? 0 : cue.recipe().phrasingPercent();
    }

    /** All that its marks don't say themselves, as strong as it is there. */
    static List<PhrasePart> parts(CueView cue) {
        int percent = percent(cue);
        return percent == 0
                ? List.of()
                : Phrasing.of(cue.cue().text(), cue.recipe().voice().language())
                        .under(cue.recipe().score().marks())
                        .parts()
                        .stream()
                        .map(part -> part.with(paced(
                                part.move().at(percent),
                                Estimate.restFactor(cue.recipe().directedPace()))))
                        .toList();
    }

    private static PhraseMove paced(PhraseMove move, double restFactor) {
        return move instanceof PhraseMove.Rest rest ? new PhraseMove.Rest(rest.seconds() * restFactor) : move;
    }

    static List<PhrasedCue> of(CueView cue) {
        List<Word> words = Words.of(cue.cue().text());
        return parts(cue).stream()
                .map(part -> new PhrasedCue(
                        first(words, part.start()),
                        last(words, part.end()),
                        part.start(),
                        part.end(),
                        part.move().id(),
                        part.sentence(),
                        !part.move().instructions().isEmpty()))
                .toList();
    }

    private static int first(List<Word> words, int start) {
        return IntStream.range(0, words.size())
                .filter(i -> words.get(i).end() > start)
                .findFirst()
                .orElse(0);
    }

    private static int last(List<Word> words, int end) {
        return (int) words.stream().filter(word -> word.start() < end).count() - 1;
    }
}
