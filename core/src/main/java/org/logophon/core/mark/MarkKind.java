package org.logophon.core.mark;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.logophon.core.direction.Dial;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.style.Style;

/** The kinds of marks: where each stands, and what values it takes. Pages and files know them from here. */
public enum MarkKind {
    PAUSE(true, Dial.PAUSE, List.of()),
    BREATH(true, null, ids(Instruction.Depth.values())),
    STRESS(false, null, ids(Instruction.Level.values())),
    PACE(false, Dial.PACE, List.of()),
    PITCH(false, Dial.PITCH, List.of()),
    RANGE(false, Dial.RANGE, List.of()),
    LOUDNESS(false, Dial.LOUDNESS, List.of()),
    WHISPER(false, null, List.of()),
    /** A style's name, and its strength after it. */
    STYLE(false, Dial.STYLE, Arrays.stream(Style.values()).map(Style::id).toList()),
    /** A kind of reading, and words or IPA after it. */
    READING(false, null, List.of()),
    /** A BCP 47 tag. */
    LANGUAGE(false, null, List.of()),
    /** A role's name. */
    ROLE(false, null, List.of());

    private final boolean onGap;
    private final Dial dial;
    private final List<String> choices;

    MarkKind(boolean onGap, Dial dial, List<String> choices) {
        this.onGap = onGap;
        this.dial = dial;
        this.choices = choices;
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

    /** The words that it takes; empty for a kind that takes none, or any. */
    public List<String> choices() {
        return choices;
    }
}
