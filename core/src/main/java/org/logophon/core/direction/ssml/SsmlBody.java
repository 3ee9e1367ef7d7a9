package org.logophon.core.direction.ssml;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.logophon.core.direction.mark.Mark;

/**
 * The words of a cue with the elements around them. Elements nest and marks may cross: what is open is closed and
 * opened again where that has to be, and pieces without a word in them are left out.
 */
final class SsmlBody {

    /** An element around words. */
    private record Around(int from, int to, SsmlElement element) {}

    /** A step of the writing: text, an element that opens or stands empty, or the end of one, which has neither. */
    private record Step(String text, SsmlElement opens, SsmlElement empty) {

        static final Step END = new Step(null, null, null);
    }

    private final List<Step> steps = new ArrayList<>();
    private final StringBuilder pending = new StringBuilder();
    private final Deque<Around> open = new ArrayDeque<>();

    private SsmlBody() {}

    static void write(SsmlCue cue, XMLStreamWriter xml) throws XMLStreamException {
        SsmlBody body = new SsmlBody();
        body.nest(cue);
        for (Step step : withoutEmpty(body.steps)) {
            if (step.text() != null) {
                xml.writeCharacters(step.text());
            } else if (step.opens() != null) {
                step.opens().open(xml);
            } else if (step.empty() != null) {
                step.empty().writeEmpty(xml);
            } else {
                xml.writeEndElement();
            }
        }
    }

    private void nest(SsmlCue cue) {
        String text = XmlText.of(cue.text());
        List<Around> all = elements(cue);
        int next = 0;
        for (int at = 0; at <= text.length(); at++) {
            closeAt(at);
            gaps(cue, at, text);
            while (next < all.size() && all.get(next).from() == at) {
                openAround(all.get(next++));
            }
            if (at < text.length()) {
                pending.append(text.charAt(at));
            }
        }
        flush();
    }

    private static List<Around> elements(SsmlCue cue) {
        List<Around> all = new ArrayList<>();
        for (Mark mark : cue.marks().written()) {
            if (!mark.instruction().onGap()) {
                all.add(new Around(mark.start(), mark.end(), SsmlElements.of(mark.instruction(), cue.cast())));
            }
        }
        cue.readings()
                .forEach(
                        placed -> all.add(new Around(placed.start(), placed.end(), SsmlElements.of(placed.reading()))));
        all.sort(Comparator.comparingInt(Around::from).thenComparing(Around::to, Comparator.reverseOrder()));
        return all;
    }

    /** One that reaches further than what it would stand in goes around it. */
    private void openAround(Around around) {
        Deque<Around> again = new ArrayDeque<>();
        while (!open.isEmpty() && open.peek().to() < around.to()) {
            end();
            again.push(open.pop());
        }
        begin(around);
        again.forEach(this::begin);
    }

    private void closeAt(int at) {
        Deque<Around> again = new ArrayDeque<>();
        while (open.stream().anyMatch(around -> around.to() == at)) {
            Around inner = open.pop();
            end();
            if (inner.to() != at) {
                again.push(inner);
            }
        }
        again.forEach(this::begin);
    }

    private void begin(Around around) {
        flush();
        steps.add(new Step(null, around.element(), null));
        open.push(around);
    }

    private void end() {
        flush();
        steps.add(Step.END);
    }

    private void flush() {
        if (!pending.isEmpty()) {
            steps.add(new Step(pending.toString(), null, null));
            pending.setLength(0);
        }
    }

    /** Breaks and breaths stand where the space between two words is. */
    private void gaps(SsmlCue cue, int at, String text) {
        boolean space = at < text.length()
                && Character.isWhitespace(text.charAt(at))
                && at > 0
                && !Character.isWhitespace(text.charAt(at - 1));
        if (!space) {
            return;
        }
        for (Mark mark : cue.marks().heard()) {
            if (mark.instruction().onGap() && gapOf(mark, text) == at) {
                flush();
                steps.add(new Step(null, null, SsmlElements.inGap(mark)));
            }
        }
    }

    private static int gapOf(Mark mark, String text) {
        int at = mark.end();
        while (at < text.length() && !Character.isWhitespace(text.charAt(at))) {
            at++;
        }
        return at;
    }

    /** Without elements that hold nothing but space: they were closed and opened again where no word stands. */
    private static List<Step> withoutEmpty(List<Step> steps) {
        List<Step> kept = new ArrayList<>();
        Deque<Integer> opened = new ArrayDeque<>();
        for (Step step : steps) {
            if (step.opens() != null) {
                opened.push(kept.size());
                kept.add(step);
            } else if (step == Step.END) {
                int from = opened.pop();
                List<Step> inside = kept.subList(from + 1, kept.size());
                if (inside.stream()
                        .allMatch(inner -> inner.text() != null && inner.text().isBlank())) {
                    kept.remove(from);
                } else {
                    kept.add(step);
                }
            } else {
                kept.add(step);
            }
        }
        return kept;
    }
}
