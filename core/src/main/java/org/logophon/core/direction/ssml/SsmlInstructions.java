package org.logophon.core.direction.ssml;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import javax.xml.stream.XMLStreamReader;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.TypedNumber;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.text.reading.Reading;

/** What single elements of SSML ask for, in the words and figures of our marks. What has no such words is counted. */
final class SsmlInstructions {

    /** What the words of SSML come to; it leaves that to the processor. Ours. */
    private static final Map<String, Integer> RATES =
            Map.of("x-slow", 60, "slow", 80, "medium", 100, "fast", 120, "x-fast", 150, "default", 100);

    private static final Map<String, Double> PITCHES =
            Map.of("x-low", -6.0, "low", -3.0, "medium", 0.0, "high", 3.0, "x-high", 6.0, "default", 0.0);
    private static final Map<String, Integer> RANGES =
            Map.of("x-low", 25, "low", 60, "medium", 100, "high", 140, "x-high", 180, "default", 100);
    private static final Map<String, Double> VOLUMES = Map.of(
            "silent", -24.0, "x-soft", -12.0, "soft", -6.0, "medium", 0.0, "loud", 4.0, "x-loud", 8.0, "default", 0.0);
    private static final Map<String, Integer> BREAKS =
            Map.of("none", 0, "x-weak", 100, "weak", 200, "medium", 400, "strong", 700, "x-strong", 1_200);
    /** Of a contour: only what is relative to the voice's own pitch can be followed. */
    private static final Pattern POINT = Pattern.compile("\\(\\s*([0-9.]+)%\\s*,\\s*([+-][0-9.]+)(st|%)\\s*\\)");

    private static final Pattern NUMBER = Pattern.compile("([+-]?[0-9]*\\.?[0-9]+)(%|st|dB|ms|s|Hz)?");

    private final Map<String, Integer> left = new TreeMap<>();

    /** What was left out, as sentences. */
    List<String> remarks() {
        return left.entrySet().stream()
                .map(entry -> entry.getKey() + (entry.getValue() == 1 ? "" : ", " + entry.getValue() + " times")
                        + ": left out; the words stay.")
                .toList();
    }

    void leave(String what) {
        left.merge(what, 1, Integer::sum);
    }

    void ask(List<Instruction> asks, String kind, String value) {
        try {
            asks.add(Instruction.of(kind, value));
        } catch (InvalidInput outside) {
            leave("a " + kind + " of “" + value + "”");
        }
    }

    void prosody(XMLStreamReader xml, List<Instruction> asks) {
        // what is ours says all; what stands beside it is for other readers
        boolean ours = IntStream.range(0, xml.getAttributeCount())
                .anyMatch(i -> SsmlWriter.OURS.equals(xml.getAttributeNamespace(i)));
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            String name = xml.getAttributeLocalName(i);
            String value = xml.getAttributeValue(i).strip();
            if (ours) {
                if (SsmlWriter.OURS.equals(xml.getAttributeNamespace(i))) {
                    ask(asks, name, value);
                }
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
                        ask(asks, "pitch", Double.toString(semitones(amount, unit)));
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
                case "contour" -> {}
                default -> leave("<prosody " + name + ">");
            }
        }
    }

    /** @return null for none, or one that can't be followed */
    Bend contour(XMLStreamReader xml) {
        String value = xml.getAttributeValue(null, "contour");
        if (value == null) {
            return null;
        }
        TreeMap<Double, Double> points = new TreeMap<>();
        Matcher point = POINT.matcher(value);
        while (point.find()) {
            double amount = Double.parseDouble(point.group(2));
            if (!point.group(3).equals("%") || amount > -100) {
                points.put(Double.parseDouble(point.group(1)) / 100, semitones(amount, point.group(3)));
            }
        }
        if (points.isEmpty() || !POINT.matcher(value).replaceAll("").isBlank()) {
            leave("a contour of “" + value + "”");
            return null;
        }
        return new Bend(points);
    }

    private static double semitones(double amount, String unit) {
        return unit.equals("st") ? amount : 12 * Math.log(1 + amount / 100) / Math.log(2);
    }

    List<Instruction> pause(XMLStreamReader xml) {
        String time = xml.getAttributeValue(null, "time");
        String strength =
                Optional.ofNullable(xml.getAttributeValue(null, "strength")).orElse("medium");
        Matcher number = NUMBER.matcher(time == null ? "" : time.strip());
        double millis = number.matches() && number.group(2) != null
                ? Double.parseDouble(number.group(1)) * (number.group(2).equals("s") ? 1_000 : 1)
                : time == null ? BREAKS.getOrDefault(strength.toLowerCase(Locale.ROOT), -1) : -1;
        List<Instruction> asks = new ArrayList<>();
        String sound = xml.getAttributeValue(SsmlWriter.OURS, "sound");
        if (sound == null) {
            ask(asks, "pause", Double.toString(millis));
        } else {
            String level = xml.getAttributeValue(SsmlWriter.OURS, "level");
            ask(asks, "sound", millis + " " + (level == null ? "-12" : level) + " " + sound);
        }
        return asks;
    }

    /** @return per cent; null where nothing is said of it, or nothing that can be followed */
    Integer phrasing(XMLStreamReader xml) {
        String value = xml.getAttributeValue(SsmlWriter.OURS, SsmlWriter.PHRASING);
        if (value == null) {
            return null;
        }
        try {
            Double percent = TypedNumber.read("Phrasing", value);
            Dial.PHRASING.check(percent);
            return percent == null ? null : (int) Math.round(percent);
        } catch (InvalidInput outside) {
            leave("a phrasing of “" + value + "”");
            return null;
        }
    }

    List<Instruction> breath(String depth) {
        List<Instruction> asks = new ArrayList<>();
        ask(asks, "breath", depth);
        return asks;
    }

    /** @return null when it is none that can be kept */
    Reading reading(String element, XMLStreamReader xml) {
        String said = Optional.ofNullable(xml.getAttributeValue(null, element.equals("sub") ? "alias" : "ph"))
                .orElse("");
        String interpretAs =
                Optional.ofNullable(xml.getAttributeValue(null, "interpret-as")).orElse("");
        String alphabet =
                Optional.ofNullable(xml.getAttributeValue(null, "alphabet")).orElse("ipa");
        PronunciationKind kind = switch (element) {
            case "sub" -> PronunciationKind.WORDS;
            case "phoneme" -> alphabet.equals("ipa") ? PronunciationKind.IPA : null;
            default ->
                interpretAs.equals("characters") || interpretAs.equals("spell-out")
                        ? "digits".equals(xml.getAttributeValue(null, "format"))
                                ? PronunciationKind.DIGITS
                                : PronunciationKind.LETTERS
                        : List.of("cardinal", "ordinal", "date", "time", "telephone")
                                        .contains(interpretAs)
                                ? PronunciationKind.of(interpretAs)
                                : null;
        };
        if (kind == null || said.isBlank() && (kind == PronunciationKind.WORDS || kind == PronunciationKind.IPA)) {
            leave("<" + element + (interpretAs.isEmpty() ? "" : " interpret-as=\"" + interpretAs + "\"") + ">");
            return null;
        }
        // what is written is known at its end
        return new Reading("x", said, kind, null, true);
    }
}
