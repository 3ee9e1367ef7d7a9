package org.logophon.core.direction.mark;

import org.logophon.core.input.InvalidInput;

/**
 * One piece of direction at its words.
 *
 * @param start  UTF-16 index in the cue's text of its first word; for a gap, of the word before it
 * @param end    after its last word
 * @param origin whose it is
 * @param reason why it was suggested; empty for the user's own
 */
public record Mark(int start, int end, Instruction instruction, Origin origin, String reason) {

    /** Whose a mark is. Only what is asked for is heard. */
    public enum Origin {
        /** The user's. */
        OWN,
        /** Proposed and not taken yet: shown, not heard. */
        SUGGESTED,
        /** Proposed, and taken. */
        TAKEN
    }

    public Mark {
        if (start < 0 || end <= start) {
            throw new InvalidInput("A mark stands on at least one word.");
        }
    }

    /** The user's own. */
    public static Mark own(int start, int end, Instruction instruction) {
        return new Mark(start, end, instruction, Origin.OWN, "");
    }

    public boolean heard() {
        return origin != Origin.SUGGESTED;
    }

    public Mark at(int otherStart, int otherEnd) {
        return new Mark(otherStart, otherEnd, instruction, origin, reason);
    }

    public Mark with(Origin other) {
        return new Mark(start, end, instruction, other, reason);
    }

    Mark with(Instruction other) {
        return new Mark(start, end, other, origin, reason);
    }

    /** For a recipe: what is heard of it. */
    public String canonical() {
        String value = instruction instanceof Instruction.InStyle styled
                ? styled.style().canonical() + " " + styled.percent()
                : instruction.value();
        return start + "-" + end + " " + instruction.id() + " " + value;
    }
}
