package org.logophon.mark;

import org.logophon.style.Style;

/** What a mark asks for. Values are checked; a value out of range is an {@link IllegalArgumentException} with a sentence. */
public sealed interface Ask {

    /** Word of the trade for it, also in addresses and files. */
    String word();

    /** True for what lies between two words: its mark stands on the word before. */
    default boolean onGap() {
        return false;
    }

    /** The value as it is written, without its unit; empty where the word says all. */
    default String value() {
        return "";
    }

    /** So much silence between two words (SSML 1.1, break time). */
    record Pause(int millis) implements Ask {

        public static final int STEP_MILLIS = 10;

        public Pause {
            check("A pause", millis, 0, 10_000, "ms");
        }

        @Override
        public String word() {
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
    record Breath(Depth depth) implements Ask {

        @Override
        public String word() {
            return "breath";
        }

        @Override
        public boolean onGap() {
            return true;
        }

        @Override
        public String value() {
            return depth.word();
        }
    }

    /** SSML 1.1, emphasis. */
    record Stress(Level level) implements Ask {

        @Override
        public String word() {
            return "stress";
        }

        @Override
        public String value() {
            return level.word();
        }
    }

    /** SSML 1.1, prosody rate: 100 is unchanged. */
    record Pace(int percent) implements Ask {

        public Pace {
            check("Pace", percent, 50, 200, "%");
        }

        @Override
        public String word() {
            return "pace";
        }

        @Override
        public String value() {
            return Integer.toString(percent);
        }
    }

    record Pitch(double semitones) implements Ask {

        public Pitch {
            check("Pitch", semitones, -12, 12, "semitones");
        }

        @Override
        public String word() {
            return "pitch";
        }

        @Override
        public String value() {
            return plain(semitones);
        }
    }

    /** SSML 1.1, prosody range: 0 is monotone. */
    record Range(int percent) implements Ask {

        public Range {
            check("Range", percent, 0, 200, "%");
        }

        @Override
        public String word() {
            return "range";
        }

        @Override
        public String value() {
            return Integer.toString(percent);
        }
    }

    /** SSML 1.1, prosody volume. */
    record Loudness(double decibels) implements Ask {

        public Loudness {
            check("Loudness", decibels, -24, 12, "dB");
        }

        @Override
        public String word() {
            return "loudness";
        }

        @Override
        public String value() {
            return plain(decibels);
        }
    }

    /** The same words without voice. */
    record Whisper() implements Ask {

        @Override
        public String word() {
            return "whisper";
        }
    }

    /** One of our styles, on a run. */
    record Styled(Style style, int percent) implements Ask {

        public Styled {
            check("The strength of a style", percent, 0, 100, "%");
        }

        @Override
        public String word() {
            return "style";
        }

        @Override
        public String value() {
            return style.word() + " " + percent;
        }
    }

    /** How deep a breath is. */
    enum Depth {
        LIGHT, NORMAL, DEEP;

        public String word() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    /** How strongly words are stressed; NONE keeps a suggestion away. */
    enum Level {
        REDUCED, NONE, MODERATE, STRONG;

        public String word() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    /** @throws IllegalArgumentException with a sentence when there is no such mark, or its value can't be one */
    static Ask of(String word, String value) {
        try {
            return switch (word) {
                case "pause" -> new Pause((int) Math.round(number(value) / Pause.STEP_MILLIS) * Pause.STEP_MILLIS);
                case "breath" -> new Breath(Depth.valueOf(value.toUpperCase(java.util.Locale.ROOT)));
                case "stress" -> new Stress(Level.valueOf(value.toUpperCase(java.util.Locale.ROOT)));
                case "pace" -> new Pace((int) Math.round(number(value)));
                case "pitch" -> new Pitch(Math.round(number(value) * 100) / 100.0);
                case "range" -> new Range((int) Math.round(number(value)));
                case "loudness" -> new Loudness(Math.round(number(value) * 100) / 100.0);
                case "whisper" -> new Whisper();
                case "style" -> styled(value);
                default -> throw new IllegalArgumentException("There is no mark “" + word + "”.");
            };
        } catch (NumberFormatException notANumber) {
            throw new IllegalArgumentException("“" + value + "” is no value for a mark of " + word + ": type a number.", notANumber);
        } catch (IllegalArgumentException unknown) {
            if (unknown.getMessage() != null && unknown.getMessage().startsWith("No enum constant")) {
                throw new IllegalArgumentException("“" + value + "” is no value for a mark of " + word + ".", unknown);
            }
            throw unknown;
        }
    }

    private static Styled styled(String value) {
        String[] parts = value.strip().split(" ");
        Style style = Style.named(parts[0]).orElseThrow(() -> new IllegalArgumentException("There is no style “" + parts[0] + "”. Choose one of " + Style.words() + "."));
        return new Styled(style, parts.length > 1 ? (int) Math.round(number(parts[1])) : 100);
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
            throw new IllegalArgumentException("%s goes from %d to %d %s, and %s is outside.".formatted(what, least, most, unit, plain(value)));
        }
    }
}
