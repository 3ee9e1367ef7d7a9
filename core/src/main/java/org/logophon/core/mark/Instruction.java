package org.logophon.core.mark;

import java.util.IllformedLocaleException;
import java.util.Locale;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.reading.PronunciationKind;
import org.logophon.core.reading.Reading;
import org.logophon.core.style.Style;

/** What a mark asks for. Values are checked; a value out of range is an {@link InvalidInput} with a sentence. */
public sealed interface Instruction {

    /** Word of the trade for it, also in addresses and files. */
    String id();

    /** True for what lies between two words: its mark stands on the word before. */
    default boolean onGap() {
        return false;
    }

    /** The value as it is written, without its unit; empty where the word says all. */
    default String value() {
        return "";
    }

    /** So much silence between two words (SSML 1.1, break time). */
    record Pause(int millis) implements Instruction {

        public static final int STEP_MILLIS = 10;

        public Pause {
            check("A pause", millis, 0, 10_000, "ms");
        }

        @Override
        public String id() {
            return "pause";
        }

        @Override
        public boolean onGap() {
            return true;
        }

        @Override
        public String value() {
            return Integer.toString(millis);
        }
    }

    /** A breath inside the rest. */
    record Breath(Depth depth) implements Instruction {

        @Override
        public String id() {
            return "breath";
        }

        @Override
        public boolean onGap() {
            return true;
        }

        @Override
        public String value() {
            return depth.id();
        }
    }

    /** SSML 1.1, emphasis. */
    record Stress(Level level) implements Instruction {

        @Override
        public String id() {
            return "stress";
        }

        @Override
        public String value() {
            return level.id();
        }
    }

    /** SSML 1.1, prosody rate: 100 is unchanged. */
    record Pace(int percent) implements Instruction {

        public Pace {
            check("Pace", percent, 50, 200, "%");
        }

        @Override
        public String id() {
            return "pace";
        }

        @Override
        public String value() {
            return Integer.toString(percent);
        }
    }

    record Pitch(double semitones) implements Instruction {

        public Pitch {
            check("Pitch", semitones, -12, 12, "semitones");
        }

        @Override
        public String id() {
            return "pitch";
        }

        @Override
        public String value() {
            return plain(semitones);
        }
    }

    /** SSML 1.1, prosody range: 0 is monotone. */
    record Range(int percent) implements Instruction {

        public Range {
            check("Range", percent, 0, 200, "%");
        }

        @Override
        public String id() {
            return "range";
        }

        @Override
        public String value() {
            return Integer.toString(percent);
        }
    }

    /** SSML 1.1, prosody volume. */
    record Volume(double decibels) implements Instruction {

        public Volume {
            check("Loudness", decibels, -24, 12, "dB");
        }

        @Override
        public String id() {
            return "loudness";
        }

        @Override
        public String value() {
            return plain(decibels);
        }
    }

    /** The same words without voice. */
    record Whisper() implements Instruction {

        @Override
        public String id() {
            return "whisper";
        }
    }

    /** One of our styles, on a run. */
    record InStyle(Style style, int percent) implements Instruction {

        public InStyle {
            check("The strength of a style", percent, 0, 100, "%");
        }

        @Override
        public String id() {
            return "style";
        }

        @Override
        public String value() {
            return style.id() + " " + percent;
        }
    }

    /**
     * How the words are said: in other words, as a kind, or in IPA (SSML 1.1, sub, say-as, phoneme).
     *
     * @param said empty where the kind says all
     */
    record ReadAs(PronunciationKind kind, String said) implements Instruction {

        public ReadAs {
            if (said.isBlank() && (kind == PronunciationKind.WORDS || kind == PronunciationKind.IPA)) {
                throw new InvalidInput("How it is said is missing. Write the words, or choose a kind such as letters.");
            }
            said = new Reading("x", said, kind, null, true).said();
        }

        @Override
        public String id() {
            return "reading";
        }

        @Override
        public String value() {
            return said.isEmpty() ? kind.id() : kind.id() + " " + said;
        }
    }

    /** The words are in another language (SSML 1.1, lang). @param tag BCP 47 */
    record Language(String tag) implements Instruction {

        public Language {
            try {
                tag = new Locale.Builder().setLanguageTag(tag).build().toLanguageTag();
            } catch (IllformedLocaleException unknown) {
                tag = "und";
            }
            if (tag.equals("und")) {
                throw new InvalidInput(
                        "A language is named by its tag, such as cy for Welsh or de-AT for Austrian German.");
            }
        }

        @Override
        public String id() {
            return "language";
        }

        @Override
        public String value() {
            return tag;
        }
    }

    /** Another role says the words. */
    record SpokenBy(String name) implements Instruction {

        private static final int LONGEST = 60;

        public SpokenBy {
            name = name.strip();
            if (name.isEmpty() || name.length() > LONGEST || name.chars().anyMatch(Character::isISOControl)) {
                throw new InvalidInput("A role has a name of 1 to " + LONGEST + " characters.");
            }
        }

        @Override
        public String id() {
            return "role";
        }

        @Override
        public String value() {
            return name;
        }
    }

    /** How deep a breath is. */
    enum Depth {
        LIGHT,
        NORMAL,
        DEEP;

        public String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** How strongly words are stressed; NONE keeps a suggestion away. */
    enum Level {
        REDUCED,
        NONE,
        MODERATE,
        STRONG;

        public String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** @throws InvalidInput with a sentence when there is no such mark, or its value can't be one */
    static Instruction of(String word, String value) {
        try {
            return switch (word) {
                case "pause" -> new Pause((int) Math.round(number(value) / Pause.STEP_MILLIS) * Pause.STEP_MILLIS);
                case "breath" -> new Breath(Depth.valueOf(value.toUpperCase(Locale.ROOT)));
                case "stress" -> new Stress(Level.valueOf(value.toUpperCase(Locale.ROOT)));
                case "pace" -> new Pace((int) Math.round(number(value)));
                case "pitch" -> new Pitch(Math.round(number(value) * 100) / 100.0);
                case "range" -> new Range((int) Math.round(number(value)));
                case "loudness" -> new Volume(Math.round(number(value) * 100) / 100.0);
                case "whisper" -> new Whisper();
                case "style" -> styled(value);
                case "reading" -> read(value);
                case "language" -> new Language(value);
                case "role" -> new SpokenBy(value);
                default -> throw new InvalidInput("There is no mark “" + word + "”.");
            };
        } catch (NumberFormatException notANumber) {
            throw new InvalidInput(
                    "“" + value + "” is no value for a mark of " + word + ": type a number.", notANumber);
        } catch (IllegalArgumentException unknown) {
            if (unknown.getMessage() != null && unknown.getMessage().startsWith("No enum constant")) {
                throw new InvalidInput("“" + value + "” is no value for a mark of " + word + ".", unknown);
            }
            throw unknown;
        }
    }

    private static InStyle styled(String value) {
        String[] parts = value.strip().split(" ");
        Style style = Style.named(parts[0])
                .orElseThrow(() ->
                        new InvalidInput("There is no style “" + parts[0] + "”. Choose one of " + Style.words() + "."));
        return new InStyle(style, parts.length > 1 ? (int) Math.round(number(parts[1])) : 100);
    }

    private static ReadAs read(String value) {
        String[] parts = value.strip().split(" ", 2);
        return new ReadAs(PronunciationKind.of(parts[0]), parts.length > 1 ? parts[1] : "");
    }

    private static double number(String value) {
        double number = Double.parseDouble(value);
        if (!Double.isFinite(number)) {
            throw new NumberFormatException();
        }
        return number;
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString(Math.round(value)) : Double.toString(value);
    }

    private static void check(String what, double value, int least, int most, String unit) {
        if (!(value >= least && value <= most)) {
            throw new InvalidInput(
                    "%s goes from %d to %d %s, and %s is outside.".formatted(what, least, most, unit, plain(value)));
        }
    }
}
