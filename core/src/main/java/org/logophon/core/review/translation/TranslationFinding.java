package org.logophon.core.review.translation;

/** What a translation owes to the words that it was made from. @param sentence for people */
public record TranslationFinding(Kind kind, String sentence) {

    /** What it is about. */
    public enum Kind {
        FIGURE,
        PLACEHOLDER,
        NAME,
        GLOSSARY
    }
}
