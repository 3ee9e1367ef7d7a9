package org.logophon.core.review.translation;

/**
 * A term that stays, or is always said so.
 *
 * @param written  in the first language
 * @param said     in the other one; the same where it stays as it is
 * @param language BCP 47 tag of the other language; empty for all of them
 */
public record GlossaryTerm(String written, String said, String language) {

    public boolean stays() {
        return said.equals(written);
    }

    /** @param other BCP 47 tag */
    public boolean holdsIn(String other) {
        return language.isEmpty() || language.split("-")[0].equalsIgnoreCase(other.split("-")[0]);
    }
}
