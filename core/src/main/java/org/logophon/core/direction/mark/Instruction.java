package org.logophon.core.direction.mark;

import java.util.IllformedLocaleException;
import java.util.Locale;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.style.Style;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.TypedNumber;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.text.reading.Reading;

/** What a mark asks for. Values are checked; a value out of range is an {@link InvalidInput} with a sentence. */
public sealed interface Instruction {

    MarkKind kind();

    /** Of its kind: word of the trade for it, also in addresses and files. */
    default String id() {
        return kind().id();
    }

    /** True for what lies between two words: its mark stands on the word before. */
    default boolean onGap() {
        return kind().onGap();
    }

    /** The value as it is written, without its unit; empty where the word says all. */
    default String value() {
        return "";
    }

    /** So much silence between two words (SSML 1.1, break time). */
    record Pause(int millis) implements Instruction {

        public Pause {
            Dial.PAUSE.check(millis);
        }

        @Override
        public MarkKind kind() {
            return MarkKind.PAUSE;
        }

        @Override
        public String value() {
            return Integer.toString(millis);
        }
    }

    /** A breath inside the rest. */
    record Breath(Depth depth) implements Instruction {

        @Override
        public MarkKind kind() {
            return MarkKind.BREATH;
        }

        @Override
        public String value() {
            return depth.id();
        }
    }

    /**
     * A sound of one's own in the gap, which is so long.
     *
     * @param levelDb against the voice
     * @param name    of the sound in the lists of its project and workspace
     */
    record OwnSound(int millis, double levelDb, String name) implements Instruction {

        public static final int LONGEST_NAME = 60;

        public OwnSound {
            Dial.PAUSE.check("The gap for a sound", millis);
            Dial.BESIDE_VOICE.check(levelDb);
            name = name.strip();
            if (name.isEmpty() || name.length() > LONGEST_NAME || name.chars().anyMatch(Character::isISOControl)) {
                throw new InvalidInput("A sound has a name of 1 to " + LONGEST_NAME + " characters.");
            }
        }

        static OwnSound of(String value) {
            String[] parts = value.strip().split(" ", 3);
            if (parts.length < 3) {
                throw new InvalidInput(
                        "A mark of sound has milliseconds, a level in dB and the sound's name, such as 800 -12 Bell.");
            }
            Double millis = TypedNumber.read("The gap for a sound", parts[0]);
            Double level = TypedNumber.read("The level against the voice", parts[1]);
            return new OwnSound(millis == null ? 0 : (int) Math.round(millis), level == null ? 0 : level, parts[2]);
        }

        @Override
        public MarkKind kind() {
            return MarkKind.SOUND;
        }

        @Override
        public String value() {
            return millis + " " + plain(levelDb) + " " + name;
        }
    }

    /** SSML 1.1, emphasis. */
    record Stress(Level level) implements Instruction {

        @Override
        public MarkKind kind() {
            return MarkKind.STRESS;
        }

        @Override
        public String value() {
            return level.id();
        }
    }

    /** SSML 1.1, prosody rate: 100 is unchanged. */
    record Pace(int percent) implements Instruction {

        public Pace {
            Dial.PACE.check(percent);
        }

        @Override
        public MarkKind kind() {
            return MarkKind.PACE;
        }

        @Override
        public String value() {
            return Integer.toString(percent);
        }
    }

    record Pitch(double semitones) implements Instruction {

        public Pitch {
            Dial.PITCH.check(semitones);
        }

        @Override
        public MarkKind kind() {
            return MarkKind.PITCH;
        }

        @Override
        public String value() {
            return plain(semitones);
        }
    }

    /** SSML 1.1, prosody range: 0 is monotone. */
    record Range(int percent) implements Instruction {

        public Range {
            Dial.RANGE.check(percent);
        }

        @Override
        public MarkKind kind() {
            return MarkKind.RANGE;
        }

        @Override
        public String value() {
            return Integer.toString(percent);
        }
    }

    /** SSML 1.1, prosody volume. */
    record Volume(double decibels) implements Instruction {

        public Volume {
            Dial.LOUDNESS.check(decibels);
        }

        @Override
        public MarkKind kind() {
            return MarkKind.LOUDNESS;
        }

        @Override
        public String value() {
            return plain(decibels);
        }
    }

    /** The same words without voice. */
    record Whisper() implements Instruction {

        @Override
        public MarkKind kind() {
            return MarkKind.WHISPER;
        }
    }

    /** One of our styles, on a run. */
    record InStyle(Style style, int percent) implements Instruction {

        public InStyle {
            Dial.STYLE.check(percent);
        }

        @Override
        public MarkKind kind() {
            return MarkKind.STYLE;
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
    record ReadAs(PronunciationKind as, String said) implements Instruction {

        public ReadAs {
            if (said.isBlank() && (as == PronunciationKind.WORDS || as == PronunciationKind.IPA)) {
                throw new InvalidInput(
                        "The pronunciation is missing. Write the words, or choose a kind such as letters.");
            }
            said = new Reading("x", said, as, null, true).said();
        }

        @Override
        public MarkKind kind() {
            return MarkKind.READING;
        }

        @Override
        public String value() {
            return said.isEmpty() ? as.id() : as.id() + " " + said;
        }
    }

    /** The words are in another language (SSML 1.1, lang). @param tag BCP 47 */
    record Language(String tag, boolean ownSounds) implements Instruction {

        private static final String OWN = " own";

        /** By a voice that speaks it. */
        public Language(String tag) {
            this(tag, false);
        }

        static Language of(String value) {
            boolean own = value.strip().endsWith(OWN);
            String tag = value.strip();
            return new Language(
                    own ? tag.substring(0, tag.length() - OWN.length()).strip() : tag, own);
        }

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
        public MarkKind kind() {
            return MarkKind.LANGUAGE;
        }

        @Override
        public String value() {
            return ownSounds ? tag + OWN : tag;
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
        public MarkKind kind() {
            return MarkKind.ROLE;
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

    /**
     * Reads a value as it is written, on the nearest step of its dial.
     *
     * @throws InvalidInput with a sentence when there is no such mark, or its value can't be one
     */
    static Instruction of(String kindId, String value) {
        MarkKind kind = MarkKind.of(kindId);
        return switch (kind) {
            case PAUSE -> new Pause((int) number(kind, value));
            case SOUND -> OwnSound.of(value);
            case BREATH -> new Breath(choice(kind, value, Depth.class));
            case STRESS -> new Stress(choice(kind, value, Level.class));
            case PACE -> new Pace((int) number(kind, value));
            case PITCH -> new Pitch(number(kind, value));
            case RANGE -> new Range((int) number(kind, value));
            case LOUDNESS -> new Volume(number(kind, value));
            case WHISPER -> new Whisper();
            case STYLE -> styled(value);
            case READING -> read(value);
            case LANGUAGE -> Language.of(value);
            case ROLE -> new SpokenBy(value);
        };
    }

    private static <E extends Enum<E>> E choice(MarkKind kind, String value, Class<E> type) {
        if (!kind.choices().contains(value.toLowerCase(Locale.ROOT))) {
            throw new InvalidInput("“" + value + "” is no value for a mark of " + kind.id() + ". Use "
                    + String.join(", ", kind.choices()) + ".");
        }
        return Enum.valueOf(type, value.toUpperCase(Locale.ROOT));
    }

    private static InStyle styled(String value) {
        String[] parts = value.strip().split(" ");
        Style style = Style.named(parts[0])
                .orElseThrow(() ->
                        new InvalidInput("There is no style “" + parts[0] + "”. Choose one of " + Style.words() + "."));
        return new InStyle(style, parts.length > 1 ? (int) number(MarkKind.STYLE, parts[1]) : 100);
    }

    private static ReadAs read(String value) {
        String[] parts = value.strip().split(" ", 2);
        return new ReadAs(PronunciationKind.of(parts[0]), parts.length > 1 ? parts[1] : "");
    }

    private static double number(MarkKind kind, String value) {
        Double number = TypedNumber.read("A mark of " + kind.id(), value);
        if (number == null) {
            throw new InvalidInput("A mark of " + kind.id() + " has a value: type a number.");
        }
        kind.dial().check(number);
        // hundredths in decimal: 0.1 + 0.2 is 0.3 here
        return Math.round(kind.dial().nearest(number) * 100) / 100.0;
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString(Math.round(value)) : Double.toString(value);
    }
}
