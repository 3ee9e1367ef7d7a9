package org.logophon.core.direction.mark;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.style.Style;
import org.logophon.core.input.InvalidInput;

/** The kinds of marks: where each stands, and what values it takes. Pages and files know them from here. */
public enum MarkKind {
    PAUSE(true, Dial.PAUSE, 50, 10),
    BREATH(true, null, ids(Instruction.Depth.values())),
    /** Milliseconds of the gap, a level against the voice in dB, and the name of a sound after them. */
    SOUND(true, null, List.of()),
    STRESS(false, null, ids(Instruction.Level.values())),
    PACE(false, Dial.PACE, 2, 1),
    PITCH(false, Dial.PITCH, 0.5, 0.1),
    RANGE(false, Dial.RANGE, 10, 5),
    LOUDNESS(false, Dial.LOUDNESS, 1, 0.2),
    WHISPER(false, null, List.of()),
    /** A style's name, and its strength after it. */
    STYLE(false, Dial.STYLE, Style.offered().stream().map(Style::id).toList(), 10, 5),
    /** A kind of reading, and words or IPA after it. */
    READING(false, null, List.of()),
    /** A BCP 47 tag; with "own" after it, in the voice's own sounds. */
    LANGUAGE(false, null, List.of()),
    /** A role's name. */
    ROLE(false, null, List.of());

    private final boolean onGap;
    private final Dial dial;
    private final List<String> choices;
    private final double nudge;
    private final double fineNudge;

    MarkKind(boolean onGap, Dial dial, List<String> choices) {
        this(onGap, dial, choices, 0, 0);
    }

    MarkKind(boolean onGap, Dial dial, double nudge, double fineNudge) {
        this(onGap, dial, List.of(), nudge, fineNudge);
    }

    MarkKind(boolean onGap, Dial dial, List<String> choices, double nudge, double fineNudge) {
        this.onGap = onGap;
        this.dial = dial;
        this.choices = choices;
        this.nudge = nudge;
        this.fineNudge = fineNudge;
    }

    private static List<String> ids(Enum<?>[] values) {
        return Arrays.stream(values)
                .map(value -> value.name().toLowerCase(Locale.ROOT))
                .toList();
    }

    /** Word of the trade for it, also in addresses and files. */
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** @throws InvalidInput with a sentence when there is none of that id */
    public static MarkKind of(String id) {
        return Arrays.stream(values())
                .filter(kind -> kind.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new InvalidInput("There is no mark “" + id + "”."));
    }

    /** True for what lies between two words: its mark stands on the word before. */
    public boolean onGap() {
        return onGap;
    }

    /** The range of its number; null for a kind without one. */
    public Dial dial() {
        return dial;
    }

    /** By how much one key press changes its number, in the dial's unit; 0 for what isn't nudged. Ours. */
    public double nudge() {
        return nudge;
    }

    /** The same with Shift: as little as can be heard. Ours. */
    public double fineNudge() {
        return fineNudge;
    }

    /** The words that it takes; empty for a kind that takes none, or any. */
    public List<String> choices() {
        return choices;
    }
}
