package org.logophon.core.ssml;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.logophon.core.direction.Direction;
import org.logophon.core.mark.Instruction;
import org.logophon.core.mark.Mark;
import org.logophon.core.reading.Reading;
import org.logophon.core.ssml.SsmlCue.PlacedReading;
import org.logophon.core.style.Style;

/**
 * Writes cues as SSML 1.1. What it has no element for (whisper, breath, style, a role's name) stands in attributes and
 * marks
 * of our own, beside what comes nearest to it for other readers: they pass over attributes of another namespace. Runs
 * that cross one another are written in pieces: elements nest.
 */
public final class SsmlWriter {

    /** Of the attributes that SSML has no element for. */
    public static final String OURS = "urn:logophon:score";

    /** Before the depth of a breath, in the name of a mark. */
    static final String BREATH = "breath-";

    /** A piece that was closed and opened again where no word stands. */
    private static final Pattern EMPTY = Pattern.compile("<(prosody|emphasis|voice|lang)[^>]*>(\\s*)</\\1>");

    private SsmlWriter() {}

    /** A whole document, a paragraph for each cue. @param language BCP 47 tag */
    public static String document(List<SsmlCue> cues, String language) {
        StringBuilder out = new StringBuilder(
                        "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<speak version=\"1.1\" xmlns=\"http://www.w3.org/2001/10/synthesis\" xmlns:score=\"")
                .append(OURS)
                .append("\" xml:lang=\"")
                .append(escaped(language))
                .append("\">\n");
        cues.forEach(cue -> out.append(paragraph(cue)).append('\n'));
        return out.append("</speak>\n").toString();
    }

    /** One cue: a {@code p} element, in a {@code voice} element when it has one. */
    public static String paragraph(SsmlCue cue) {
        String prosody = prosody(cue.direction());
        String style =
                cue.direction().style() == null || cue.direction().style().isEmpty()
                        ? ""
                        : styled(
                                cue.direction().style(),
                                cue.direction().stylePercent() == null
                                        ? org.logophon.core.direction.Dial.STYLE.neutral()
                                        : cue.direction().stylePercent());
        String inner = "<p>" + around(prosody, around(style, body(cue))) + "</p>";
        return cue.voice().isEmpty() ? inner : "<voice name=\"" + escaped(cue.voice()) + "\">" + inner + "</voice>";
    }

    private static String around(String prosody, String inner) {
        return prosody.isEmpty() ? inner : "<prosody" + prosody + ">" + inner + "</prosody>";
    }

    /** For other readers as nearly as their attributes can say it; a prosody element has to have one. */
    private static String styled(String name, int percent) {
        StringBuilder out = new StringBuilder();
        Style.named(name).ifPresent(style -> {
            out.append(" rate=\"")
                    .append(Math.round(100 * style.paceFactor(percent)))
                    .append("%\" pitch=\"")
                    .append(signed(hundredths(style.semitones(percent))))
                    .append("st\" range=\"")
                    .append(signed(Math.round(100 * style.rangeFactor(percent)) - 100.0))
                    .append("%\"");
        });
        double decibels =
                Style.named(name).map(style -> style.loudnessDb(percent)).orElse(0.0);
        return out.append(" volume=\"")
                .append(signed(hundredths(decibels)))
                .append("dB\" score:style=\"")
                .append(escaped(name))
                .append(' ')
                .append(percent)
                .append('"')
                .toString();
    }

    private static double hundredths(double value) {
        return Math.round(value * 100) / 100.0;
    }

    private static String prosody(Direction direction) {
        StringBuilder out = new StringBuilder();
        if (direction.pacePercent() != null) {
            out.append(" rate=\"").append(direction.pacePercent()).append("%\"");
        }
        if (direction.pitchSemitones() != null) {
            out.append(" pitch=\"").append(signed(direction.pitchSemitones())).append("st\"");
        }
        if (direction.rangePercent() != null) {
            out.append(" range=\"")
                    .append(signed(direction.rangePercent() - 100.0))
                    .append("%\"");
        }
        if (direction.loudnessDb() != null) {
            out.append(" volume=\"").append(signed(direction.loudnessDb())).append("dB\"");
        }
        return out.toString();
    }

    /** An element around words. */
    private record Around(int from, int to, String open, String close) {}

    private static String body(SsmlCue cue) {
        String text = cue.text();
        List<Around> all = new ArrayList<>();
        for (Mark mark : cue.marks().scored()) {
            if (!mark.instruction().onGap()) {
                String open = open(mark.instruction(), cue.cast());
                all.add(new Around(mark.start(), mark.end(), "<" + open + ">", "</" + open.split(" ")[0] + ">"));
            }
        }
        cue.readings().forEach(reading -> all.add(around(reading)));
        all.sort(Comparator.comparingInt(Around::from).thenComparing(Around::to, Comparator.reverseOrder()));
        StringBuilder out = new StringBuilder();
        Deque<Around> open = new ArrayDeque<>();
        int next = 0;
        for (int at = 0; at <= text.length(); at++) {
            close(at, open, out);
            gaps(cue, at, text, out);
            while (next < all.size() && all.get(next).from() == at) {
                Around around = all.get(next++);
                // one that reaches further than what it would stand in goes around it: what is open is closed and
                // opened again inside
                Deque<Around> again = new ArrayDeque<>();
                while (!open.isEmpty() && open.peek().to() < around.to()) {
                    out.append(open.peek().close());
                    again.push(open.pop());
                }
                out.append(around.open());
                open.push(around);
                again.forEach(inner -> {
                    out.append(inner.open());
                    open.push(inner);
                });
            }
            if (at < text.length()) {
                out.append(escaped(text.charAt(at)));
            }
        }
        String written = out.toString();
        for (String less = EMPTY.matcher(written).replaceAll("$2");
                !less.equals(written);
                less = EMPTY.matcher(written).replaceAll("$2")) {
            written = less;
        }
        return written;
    }

    private static void close(int at, Deque<Around> open, StringBuilder out) {
        Deque<Around> again = new ArrayDeque<>();
        while (open.stream().anyMatch(around -> around.to() == at)) {
            Around inner = open.pop();
            out.append(inner.close());
            if (inner.to() != at) {
                again.push(inner);
            }
        }
        again.forEach(around -> {
            out.append(around.open());
            open.push(around);
        });
    }

    /** Breaks and breaths stand where the space between two words is. */
    private static void gaps(SsmlCue cue, int at, String text, StringBuilder out) {
        boolean space = at < text.length()
                && Character.isWhitespace(text.charAt(at))
                && at > 0
                && !Character.isWhitespace(text.charAt(at - 1));
        if (!space) {
            return;
        }
        for (Mark mark : cue.marks().heard()) {
            if (mark.instruction().onGap() && gapOf(mark, text) == at) {
                out.append(
                        mark.instruction() instanceof Instruction.Pause pause
                                ? "<break time=\"" + pause.millis() + "ms\"/>"
                                : "<mark name=\"" + BREATH + mark.instruction().value() + "\"/>");
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

    private static String open(Instruction instruction, Map<String, String> cast) {
        if (instruction instanceof Instruction.SpokenBy role) {
            // a name of a voice has no spaces in SSML
            return "voice name=\""
                    + escaped(cast.getOrDefault(role.name(), role.name()).replaceAll("\\s+", "_")) + "\" score:role=\""
                    + escaped(role.name()) + "\"";
        }
        if (instruction instanceof Instruction.Language language) {
            return "lang xml:lang=\"" + escaped(language.tag()) + "\"";
        }
        if (instruction instanceof Instruction.Stress stress) {
            return "emphasis level=\"" + stress.level().id() + "\"";
        }
        if (instruction instanceof Instruction.Pace pace) {
            return "prosody rate=\"" + pace.percent() + "%\"";
        }
        if (instruction instanceof Instruction.Pitch pitch) {
            return "prosody pitch=\"" + signed(pitch.semitones()) + "st\"";
        }
        if (instruction instanceof Instruction.Range range) {
            return "prosody range=\"" + signed(range.percent() - 100.0) + "%\"";
        }
        if (instruction instanceof Instruction.Volume loudness) {
            return "prosody volume=\"" + signed(loudness.decibels()) + "dB\"";
        }
        if (instruction instanceof Instruction.InStyle styled) {
            return "prosody" + styled(styled.style().id(), styled.percent());
        }
        return "prosody volume=\"-6dB\" score:whisper=\"true\"";
    }

    private static Around around(PlacedReading placed) {
        Reading reading = placed.reading();
        String open = switch (reading.kind()) {
            case WORDS -> "sub alias=\"" + escaped(reading.said()) + "\"";
            case IPA -> "phoneme alphabet=\"ipa\" ph=\"" + escaped(reading.said()) + "\"";
            case LETTERS -> "say-as interpret-as=\"characters\"";
            case DIGITS -> "say-as interpret-as=\"characters\" format=\"digits\"";
            default -> "say-as interpret-as=\"" + reading.kind().id() + "\"";
        };
        return new Around(placed.start(), placed.end(), "<" + open + ">", "</" + open.split(" ")[0] + ">");
    }

    private static String signed(double value) {
        String number =
                value == Math.rint(value) ? Long.toString(Math.round(value)) : String.format(Locale.ROOT, "%s", value);
        return value < 0 ? number : "+" + number;
    }

    private static String escaped(String value) {
        StringBuilder out = new StringBuilder();
        value.chars().forEach(c -> out.append(escaped((char) c)));
        return out.toString();
    }

    private static String escaped(char c) {
        return switch (c) {
            case '<' -> "&lt;";
            case '>' -> "&gt;";
            case '&' -> "&amp;";
            case '"' -> "&quot;";
            default -> c < ' ' && c != '\n' && c != '\t' || c == '\uFFFE' || c == '\uFFFF' ? " " : String.valueOf(c);
        };
    }
}
