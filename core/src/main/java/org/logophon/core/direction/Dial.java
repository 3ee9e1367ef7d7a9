package org.logophon.core.direction;

import java.util.Locale;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.TypedNumber;

/** What is set by a number, and in which range: the same for a whole project and for a single word. */
public enum Dial {
    /** SSML 1.1, prosody rate: 100 is unchanged, 200 twice as fast. */
    PACE("Pace", 50, 200, 1, 100, "%"),
    PITCH("Pitch", -12, 12, 0.01, 0, "semitones"),
    /** SSML 1.1, prosody range: 0 is monotone. */
    RANGE("Range", 0, 200, 1, 100, "%"),
    /** SSML 1.1, prosody volume. */
    LOUDNESS("Loudness", -24, 12, 0.01, 0, "dB"),
    /** Loudness of a sound against the voice that it is heard with. Ours. */
    BESIDE_VOICE("The level against the voice", -60, 6, 0.1, -12, "dB"),
    /** SSML 1.1, break time. */
    PAUSE("A pause", 0, 10_000, 10, 0, "ms"),
    /** How much of an effect is heard. */
    EFFECT("The amount of an effect", 0, 100, 1, 70, "%"),
    STYLE("The strength of a style", 0, 200, 1, 100, "%"),
    /** Formants moved while the pitch stays. Beyond it a voice sounds made. Ours. */
    TIMBRE("Timbre", -3, 3, 0.1, 0, "semitones"),
    /** How much takes differ by chance. Ours. */
    LIVELINESS("Liveliness", 0, 100, 1, 0, "%"),
    /** How much of the phrasing by signs and words is heard: 0 leaves it to the engine. Ours. */
    PHRASING("Phrasing", 0, 150, 1, 100, "%");

    private final String title;
    private final int least;
    private final int most;
    private final double step;
    private final int neutral;
    private final String unit;

    Dial(String title, int least, int most, double step, int neutral, String unit) {
        this.title = title;
        this.least = least;
        this.most = most;
        this.step = step;
        this.neutral = neutral;
        this.unit = unit;
    }

    public int least() {
        return least;
    }

    public int most() {
        return most;
    }

    /** Values are whole multiples of it. */
    public double step() {
        return step;
    }

    /** What it stands at while nobody has said anything. Ours, for effects and styles. */
    public int neutral() {
        return neutral;
    }

    public String unit() {
        return unit;
    }

    /**
     * @throws InvalidInput with a sentence that gives the range when the value is outside of it; a null says nothing
     */
    public void check(Number value) {
        check(title, value);
    }

    /** The same for what goes by another name, as "The rest at a comma". */
    public void check(String what, Number value) {
        if (value != null && !(value.doubleValue() >= least && value.doubleValue() <= most)) {
            throw new InvalidInput("%s goes from %s to %s %s, and %s is outside."
                    .formatted(what, shown(least), shown(most), unit.equals("ms") ? "s" : unit, typed(value)));
        }
    }

    /** What is beyond every range was more than this says. */
    private String typed(Number value) {
        return Math.abs(value.doubleValue()) >= TypedNumber.BEYOND ? "that" : shown(value);
    }

    /** The value, or the end of the dial that it is beyond. */
    public double within(double value) {
        return Math.max(least, Math.min(most, value));
    }

    /** The value on the dial's nearest step. */
    public double nearest(double value) {
        return Math.round(value / step) * step;
    }

    /** As people type it: kept in milliseconds, a pause is shown in seconds. */
    private String shown(Number value) {
        double number = unit.equals("ms") ? value.doubleValue() / 1000 : value.doubleValue();
        return number == Math.rint(number) ? String.format(Locale.ROOT, "%.0f", number) : Double.toString(number);
    }
}
