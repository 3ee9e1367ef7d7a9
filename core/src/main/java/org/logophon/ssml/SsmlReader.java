package org.logophon.ssml;

import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.logophon.direction.Direction;
import org.logophon.mark.Ask;
import org.logophon.mark.Mark;
import org.logophon.mark.Marks;
import org.logophon.reading.As;
import org.logophon.reading.Reading;
import org.logophon.script.Word;
import org.logophon.script.Words;
import org.logophon.ssml.SsmlCue.PlacedReading;

/** Reads SSML 1.1: each paragraph is a cue. What a cue can't hold is listed, the words stay. */
public final class SsmlReader {

    /** What the words of SSML come to; it leaves that to the processor. Ours. */
    private static final Map<String, Integer> RATES = Map.of("x-slow", 60, "slow", 80, "medium", 100, "fast", 120, "x-fast", 150, "default", 100);
    private static final Map<String, Double> PITCHES = Map.of("x-low", -6.0, "low", -3.0, "medium", 0.0, "high", 3.0, "x-high", 6.0, "default", 0.0);
    private static final Map<String, Integer> RANGES = Map.of("x-low", 25, "low", 60, "medium", 100, "high", 140, "x-high", 180, "default", 100);
    private static final Map<String, Double> VOLUMES = Map.of("silent", -24.0, "x-soft", -12.0, "soft", -6.0, "medium", 0.0, "loud", 4.0, "x-loud", 8.0, "default", 0.0);
    private static final Map<String, Integer> BREAKS = Map.of("none", 0, "x-weak", 100, "weak", 200, "medium", 400, "strong", 700, "x-strong", 1_200);
    private static final Pattern NUMBER = Pattern.compile("([+-]?[0-9]*\\.?[0-9]+)(%|st|dB|ms|s|Hz)?");

    private final List<SsmlCue> cues = new ArrayList<>();
    private final Map<String, Integer> left = new TreeMap<>();
    private final Deque<Open> open = new ArrayDeque<>();
    private final StringBuilder text = new StringBuilder();
    private final List<Span> spans = new ArrayList<>();
    private final List<PlacedReading> readings = new ArrayList<>();
    private final Deque<String> voices = new ArrayDeque<>(List.of(""));

    private record Open(String element, int at, List<Ask> asks, Reading reading) {
    }

    /** @param to −1 for a gap after what stands before {@code from} */
    private record Span(int from, int to, Ask ask) {
    }

    /** @param remarks what was left out, as sentences */
    public record Document(List<SsmlCue> cues, List<String> remarks) {
    }

    private SsmlReader() {
    }

    /** @throws IllegalArgumentException with a sentence when it is no well-formed SSML */
    public static Document read(String ssml) {
        return new SsmlReader().document(ssml);
    }

    private Document document(String ssml) {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(new StringReader(ssml));
            while (xml.hasNext()) {
                switch (xml.next()) {
                    case XMLStreamConstants.START_ELEMENT -> start(xml);
                    case XMLStreamConstants.END_ELEMENT -> end(xml.getLocalName());
                    case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> words(xml.getText());
                    case XMLStreamConstants.ENTITY_REFERENCE, XMLStreamConstants.DTD ->
                            throw new IllegalArgumentException("This SSML declares or uses entities of its own, which are not read. Write the characters themselves.");
                    default -> { }
                }
            }
        } catch (XMLStreamException malformed) {
            throw new IllegalArgumentException("This is no well-formed SSML: look at line " + (malformed.getLocation() == null ? 1 : malformed.getLocation().getLineNumber()) + ".", malformed);
        }
        flush();
        return new Document(List.copyOf(cues), left.entrySet().stream().map(entry -> entry.getKey() + (entry.getValue() == 1 ? "" : ", " + entry.getValue() + " times") + ": left out; the words stay.").toList());
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
        List<Ask> asks = new ArrayList<>();
        Reading reading = null;
        switch (element) {
            case "speak", "s" -> words(" ");
            case "p" -> flush();
            case "voice" -> {
                if (!text.toString().isBlank() && open.stream().anyMatch(o -> o.element().equals("p"))) {
                    leave("<voice> inside a paragraph");
                } else {
                    flush();
                    voices.push(Optional.ofNullable(xml.getAttributeValue(null, "name")).orElse(""));
                }
            }
            case "break" -> pause(xml);
            case "mark" -> breath(Optional.ofNullable(xml.getAttributeValue(null, "name")).orElse(""));
            case "emphasis" -> ask(asks, "stress", Optional.ofNullable(xml.getAttributeValue(null, "level")).orElse("moderate"));
            case "prosody" -> prosody(xml, asks);
            case "sub", "say-as", "phoneme" -> reading = reading(element, xml);
            default -> leave("<" + element + ">");
        }
        open.push(new Open(element, text.length(), asks, reading));
    }

    private void leave(String what) {
        left.merge(what, 1, Integer::sum);
    }

    private void ask(List<Ask> asks, String kind, String value) {
        try {
            asks.add(Ask.of(kind, value));
        } catch (IllegalArgumentException outside) {
            leave("a " + kind + " of “" + value + "”");
        }
    }

    private void prosody(XMLStreamReader xml, List<Ask> asks) {
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            String name = xml.getAttributeLocalName(i);
            String value = xml.getAttributeValue(i).strip();
            if (SsmlWriter.OURS.equals(xml.getAttributeNamespace(i))) {
                ask(asks, name, value);
                continue;
            }
            Matcher number = NUMBER.matcher(value);
            boolean plain = number.matches();
            String unit = plain && number.group(2) != null ? number.group(2) : "";
            double amount = plain ? Double.parseDouble(number.group(1)) : Double.NaN;
            boolean relative = plain && (value.startsWith("+") || value.startsWith("-"));
            switch (name) {
                case "rate" -> {
                    if (RATES.containsKey(value)) {
                        ask(asks, "pace", RATES.get(value).toString());
                    } else if (plain && (unit.equals("%") || unit.isEmpty())) {
                        double percent = unit.isEmpty() ? amount * 100 : amount;
                        ask(asks, "pace", Double.toString(relative && unit.equals("%") ? 100 + percent : percent));
                    } else {
                        leave("a rate of “" + value + "”");
                    }
                }
                case "pitch" -> {
                    if (PITCHES.containsKey(value)) {
                        ask(asks, "pitch", PITCHES.get(value).toString());
                    } else if (unit.equals("st") && relative) {
                        ask(asks, "pitch", Double.toString(amount));
                    } else if (unit.equals("%") && relative && amount > -100) {
                        ask(asks, "pitch", Double.toString(12 * Math.log(1 + amount / 100) / Math.log(2)));
                    } else {
                        leave("a pitch of “" + value + "”");
                    }
                }
                case "range" -> {
                    if (RANGES.containsKey(value)) {
                        ask(asks, "range", RANGES.get(value).toString());
                    } else if (unit.equals("%") && relative) {
                        ask(asks, "range", Double.toString(100 + amount));
                    } else {
                        leave("a range of “" + value + "”");
                    }
                }
                case "volume" -> {
                    if (VOLUMES.containsKey(value)) {
                        ask(asks, "loudness", VOLUMES.get(value).toString());
                    } else if (unit.equals("dB")) {
                        ask(asks, "loudness", Double.toString(amount));
                    } else {
                        leave("a volume of “" + value + "”");
                    }
                }
                default -> leave("<prosody " + name + ">");
            }
        }
    }

    private void pause(XMLStreamReader xml) {
        String time = xml.getAttributeValue(null, "time");
        String strength = Optional.ofNullable(xml.getAttributeValue(null, "strength")).orElse("medium");
        Matcher number = NUMBER.matcher(time == null ? "" : time.strip());
        double millis = number.matches() && number.group(2) != null ? Double.parseDouble(number.group(1)) * (number.group(2).equals("s") ? 1_000 : 1)
                : time == null ? BREAKS.getOrDefault(strength.toLowerCase(Locale.ROOT), -1) : -1;
        List<Ask> asks = new ArrayList<>();
        ask(asks, "pause", Double.toString(millis));
        asks.forEach(pause -> spans.add(new Span(text.length(), -1, pause)));
    }

    private void breath(String name) {
        List<Ask> asks = new ArrayList<>();
        if (name.startsWith("breath-")) {
            ask(asks, "breath", name.substring("breath-".length()));
        } else {
            leave("<mark>");
        }
        asks.forEach(breath -> spans.add(new Span(text.length(), -1, breath)));
    }

    private Reading reading(String element, XMLStreamReader xml) {
        String said = Optional.ofNullable(xml.getAttributeValue(null, element.equals("sub") ? "alias" : "ph")).orElse("");
        String kind = Optional.ofNullable(xml.getAttributeValue(null, "interpret-as")).orElse("");
        String alphabet = Optional.ofNullable(xml.getAttributeValue(null, "alphabet")).orElse("ipa");
        As as = switch (element) {
            case "sub" -> As.WORDS;
            case "phoneme" -> alphabet.equals("ipa") ? As.IPA : null;
            default -> kind.equals("characters") || kind.equals("spell-out") ? "digits".equals(xml.getAttributeValue(null, "format")) ? As.DIGITS : As.LETTERS
                    : List.of("cardinal", "ordinal", "date", "time", "telephone").contains(kind) ? As.of(kind) : null;
        };
        if (as == null || said.isBlank() && (as == As.WORDS || as == As.IPA)) {
            leave("<" + element + (kind.isEmpty() ? "" : " interpret-as=\"" + kind + "\"") + ">");
            return null;
        }
        // what is written is known at its end
        return new Reading("x", said, as, null, true);
    }

    private void end(String element) {
        Open ended = open.pop();
        if (ended.reading() != null && text.length() > ended.at() && !text.substring(ended.at()).isBlank()) {
            int from = ended.at();
            while (text.charAt(from) == ' ') {
                from++;
            }
            Reading was = ended.reading();
            readings.add(new PlacedReading(from, new Reading(text.substring(from).strip(), was.said(), was.as(), null, true)));
        }
        ended.asks().forEach(ask -> spans.add(new Span(ended.at(), text.length(), ask)));
        switch (element) {
            case "p" -> flush();
            case "voice" -> {
                if (voices.size() > 1) {
                    flush();
                    voices.pop();
                }
            }
            case "s" -> words(" ");
            default -> { }
        }
    }

    private void flush() {
        String words = text.toString().stripTrailing();
        if (!words.isBlank()) {
            cues.add(new SsmlCue(words, voices.peek(), Direction.NONE, marks(words), List.copyOf(readings)));
            text.setLength(0);
            spans.clear();
            readings.clear();
        } else if (open.isEmpty() || open.stream().noneMatch(o -> o.element().equals("p"))) {
            text.setLength(0);
        }
    }

    private Marks marks(String cue) {
        List<Word> words = Words.of(cue);
        List<Mark> made = new ArrayList<>();
        for (Span span : spans) {
            Word first = null;
            Word last = null;
            for (Word word : words) {
                boolean inside = span.to() < 0 ? word.end() <= span.from() : word.end() > span.from() && word.start() < span.to();
                if (inside) {
                    first = first == null ? word : first;
                    last = word;
                }
            }
            if (last == null) {
                leave(span.to() < 0 ? "a pause before the first word" : "what stands on no word");
            } else {
                made.add(Mark.own(span.to() < 0 ? last.start() : first.start(), last.end(), span.ask()));
            }
        }
        return joined(made, cue);
    }

    /** Pieces of a run that was written in pieces are one run again. */
    private static Marks joined(List<Mark> made, String cue) {
        List<Mark> all = new ArrayList<>();
        Map<Ask, Integer> last = new HashMap<>();
        for (Mark mark : made.stream().sorted(Comparator.comparingInt(Mark::start)).toList()) {
            Integer before = mark.ask().onGap() ? null : last.get(mark.ask());
            if (before != null && all.get(before).end() <= mark.start() && cue.substring(all.get(before).end(), mark.start()).codePoints().noneMatch(Character::isLetterOrDigit)) {
                all.set(before, all.get(before).at(all.get(before).start(), mark.end()));
            } else {
                last.put(mark.ask(), all.size());
                all.add(mark);
            }
        }
        return new Marks(all);
    }
}
