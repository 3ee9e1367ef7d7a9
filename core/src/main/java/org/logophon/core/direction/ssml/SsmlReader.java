package org.logophon.core.direction.ssml;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javax.xml.XMLConstants;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.direction.ssml.SsmlCue.NamedPlace;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.StrangersXml;
import org.logophon.core.text.reading.PlacedReading;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;

/** Reads SSML 1.1: each paragraph is a cue. What a cue can't hold is listed, the words stay. */
public final class SsmlReader {

    private final List<SsmlCue> cues = new ArrayList<>();
    private final SsmlInstructions asked = new SsmlInstructions();
    private final Deque<Open> open = new ArrayDeque<>();
    private final StringBuilder text = new StringBuilder();
    private final List<MarkedSpan> spans = new ArrayList<>();
    private final List<PlacedReading> readings = new ArrayList<>();
    private final List<NamedPlace> places = new ArrayList<>();
    private final Deque<String> voices = new ArrayDeque<>(List.of(""));
    private String language = "";
    private Integer phrasing;

    private record Open(String element, int at, List<Instruction> asks, Reading reading, Bend bend) {}

    /** @param to −1 for a gap after what stands before {@code from} */
    private record MarkedSpan(int from, int to, Instruction instruction) {}

    /**
     * @param language BCP 47 tag of the whole; empty when it has none
     *
     * @param remarks what was left out, as sentences
     */
    public record Document(List<SsmlCue> cues, String language, List<String> remarks) {}

    private SsmlReader() {}

    /** @throws InvalidInput with a sentence when it is no well-formed SSML */
    public static Document read(String ssml) {
        return new SsmlReader().document(ssml);
    }

    private Document document(String ssml) {
        try {
            XMLStreamReader xml = StrangersXml.read(ssml);
            while (xml.hasNext()) {
                switch (xml.next()) {
                    case XMLStreamConstants.START_ELEMENT -> start(xml);
                    case XMLStreamConstants.END_ELEMENT -> end(xml.getLocalName());
                    case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> words(xml.getText());
                    case XMLStreamConstants.ENTITY_REFERENCE, XMLStreamConstants.DTD ->
                        throw new InvalidInput(
                                "This SSML declares or uses entities of its own, which are not read. Write "
                                        + "the characters themselves.");
                    default -> {}
                }
            }
        } catch (XMLStreamException malformed) {
            throw new InvalidInput(
                    "This is no well-formed SSML: look at line "
                            + (malformed.getLocation() == null
                                    ? 1
                                    : malformed.getLocation().getLineNumber()) + ".",
                    malformed);
        }
        flush();
        return new Document(List.copyOf(cues), language, asked.remarks());
    }

    private void words(String characters) {
        for (int i = 0; i < characters.length(); i++) {
            char c = characters.charAt(i);
            boolean space = Character.isWhitespace(c);
            if (!space || !text.isEmpty() && text.charAt(text.length() - 1) != ' ') {
                text.append(space ? ' ' : c);
            }
        }
    }

    private void start(XMLStreamReader xml) {
        String element = xml.getLocalName();
        List<Instruction> asks = new ArrayList<>();
        Reading reading = null;
        Bend bend = null;
        switch (element) {
            case "speak", "s" -> words(" ");
            case "p" -> {
                flush();
                phrasing = asked.phrasing(xml);
            }
            case "voice" -> voice(xml, asks);
            case "break" -> gap(asked.pause(xml));
            case "mark" ->
                named(Optional.ofNullable(xml.getAttributeValue(null, "name")).orElse(""));
            case "emphasis" ->
                asked.ask(
                        asks,
                        "stress",
                        Optional.ofNullable(xml.getAttributeValue(null, "level"))
                                .orElse("moderate"));
            case "prosody" -> {
                asked.prosody(xml, asks);
                bend = asked.contour(xml);
            }
            case "sub", "say-as", "phoneme" -> reading = asked.reading(element, xml);
            case "lang" -> {}
            default -> asked.leave("<" + element + ">");
        }
        language(xml, element, asks);
        open.push(new Open(element, text.length(), asks, reading, bend));
    }

    /** Around paragraphs, who says them; inside one, who says a run of its words. */
    private void voice(XMLStreamReader xml, List<Instruction> asks) {
        String role = xml.getAttributeValue(SsmlWriter.OURS, "role");
        String name = Optional.ofNullable(xml.getAttributeValue(null, "name"))
                .orElse("")
                .strip();
        if (role == null && name.isEmpty()) {
            asked.leave("a <voice> without a name");
        } else if (inParagraph()) {
            asked.ask(asks, "role", role == null ? name : role);
        }
        if (!inParagraph()) {
            flush();
            voices.push(name.isEmpty() ? voices.peek() : name);
        }
    }

    private boolean inParagraph() {
        return open.stream().anyMatch(outer -> outer.element().equals("p"));
    }

    private void named(String name) {
        if (name.startsWith(SsmlWriter.BREATH)) {
            gap(asked.breath(name.substring(SsmlWriter.BREATH.length())));
        } else if (name.isBlank()) {
            asked.leave("a <mark> without a name");
        } else {
            places.add(new NamedPlace(name, text.length()));
        }
    }

    private void gap(List<Instruction> asks) {
        asks.forEach(instruction -> spans.add(new MarkedSpan(text.length(), -1, instruction)));
    }

    /** {@code xml:lang} may stand on any of them; it counts where it differs from what is around it. */
    private void language(XMLStreamReader xml, String element, List<Instruction> asks) {
        String tag = xml.getAttributeValue(XMLConstants.XML_NS_URI, "lang");
        if (element.equals("speak")) {
            List<Instruction> whole = new ArrayList<>();
            if (tag != null) {
                asked.ask(whole, "language", tag.strip());
            }
            language = whole.isEmpty() ? "" : whole.get(0).value();
        } else if (tag != null && !tag.strip().equalsIgnoreCase(language)) {
            boolean own = "own".equals(xml.getAttributeValue(SsmlWriter.OURS, "sounds"));
            asked.ask(asks, "language", tag.strip() + (own ? " own" : ""));
        }
    }

    private void end(String element) {
        Open ended = open.pop();
        if (ended.reading() != null
                && text.length() > ended.at()
                && !text.substring(ended.at()).isBlank()) {
            int from = ended.at();
            while (text.charAt(from) == ' ') {
                from++;
            }
            Reading was = ended.reading();
            readings.add(new PlacedReading(
                    from, new Reading(text.substring(from).strip(), was.said(), was.kind(), null, true)));
        }
        if (ended.bend() != null) {
            bend(ended);
        }
        ended.asks().forEach(instruction -> spans.add(new MarkedSpan(ended.at(), text.length(), instruction)));
        switch (element) {
            case "p" -> flush();
            case "voice" -> {
                if (!inParagraph() && voices.size() > 1) {
                    flush();
                    voices.pop();
                }
            }
            case "s" -> words(" ");
            default -> {}
        }
    }

    /** A contour as far as marks can follow it: a pitch for each word. */
    private void bend(Open ended) {
        List<Word> words = Words.of(text.substring(ended.at()));
        for (int i = 0; i < words.size(); i++) {
            double semitones = ended.bend().at((i + 0.5) / words.size());
            if (Math.abs(semitones) >= 0.05) {
                List<Instruction> asks = new ArrayList<>();
                asked.ask(asks, "pitch", String.format(Locale.ROOT, "%.1f", semitones));
                Word word = words.get(i);
                asks.forEach(instruction ->
                        spans.add(new MarkedSpan(ended.at() + word.start(), ended.at() + word.end(), instruction)));
            }
        }
    }

    private void flush() {
        String words = text.toString().stripTrailing();
        if (!words.isBlank()) {
            Marks marks = marks(words);
            // a voice around all words of a paragraph is who says it
            Mark whole = voices.peek().isEmpty()
                    ? marks.all().stream()
                            .filter(mark ->
                                    mark.instruction() instanceof Instruction.SpokenBy && coversAll(mark, words))
                            .findFirst()
                            .orElse(null)
                    : null;
            cues.add(new SsmlCue(
                    words,
                    whole == null ? voices.peek() : whole.instruction().value(),
                    Direction.NONE.phrased(phrasing),
                    whole == null ? marks : marks.without(whole),
                    List.copyOf(readings),
                    Map.of(),
                    List.copyOf(places)));
            text.setLength(0);
            spans.clear();
            readings.clear();
            places.clear();
            phrasing = null;
        } else if (open.isEmpty() || open.stream().noneMatch(o -> o.element().equals("p"))) {
            text.setLength(0);
        }
    }

    private static boolean coversAll(Mark mark, String cue) {
        List<Word> words = Words.of(cue);
        return mark.start() <= words.get(0).start()
                && mark.end() >= words.get(words.size() - 1).end();
    }

    private Marks marks(String cue) {
        List<Word> words = Words.of(cue);
        List<Mark> made = new ArrayList<>();
        for (MarkedSpan span : spans) {
            Word first = null;
            Word last = null;
            for (Word word : words) {
                boolean inside = span.to() < 0
                        ? word.end() <= span.from()
                        : word.end() > span.from() && word.start() < span.to();
                if (inside) {
                    first = first == null ? word : first;
                    last = word;
                }
            }
            if (last == null) {
                asked.leave(span.to() < 0 ? "a pause before the first word" : "what stands on no word");
            } else {
                made.add(Mark.own(span.to() < 0 ? last.start() : first.start(), last.end(), span.instruction()));
            }
        }
        return joined(made, cue);
    }

    /** Pieces of a run that was written in pieces are one run again. */
    private static Marks joined(List<Mark> made, String cue) {
        List<Mark> all = new ArrayList<>();
        Map<Instruction, Integer> last = new HashMap<>();
        for (Mark mark :
                made.stream().sorted(Comparator.comparingInt(Mark::start)).toList()) {
            Integer before = mark.instruction().onGap() ? null : last.get(mark.instruction());
            if (before != null
                    && all.get(before).end() <= mark.start()
                    && cue.substring(all.get(before).end(), mark.start())
                            .codePoints()
                            .noneMatch(Character::isLetterOrDigit)) {
                all.set(before, all.get(before).at(all.get(before).start(), mark.end()));
            } else {
                last.put(mark.instruction(), all.size());
                all.add(mark);
            }
        }
        return new Marks(all);
    }
}
