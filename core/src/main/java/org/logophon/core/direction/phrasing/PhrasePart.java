package org.logophon.core.direction.phrasing;

/**
 * One thing that phrasing does.
 *
 * @param start  UTF-16 index in the text of its first word; of the word before it, for a rest
 * @param end    after its last word
 * @param reason what in the text asks for it, as "full stop"
 */
public record PhrasePart(int start, int end, PhraseMove move, String reason) {

    public boolean onGap() {
        return move instanceof PhraseMove.Rest;
    }

    /** The same with another move. */
    public PhrasePart with(PhraseMove other) {
        return new PhrasePart(start, end, other, reason);
    }

    /** Why, and what comes of it: "full stop: 0.60 s". */
    public String sentence() {
        return reason + ": " + move.label();
    }
}
