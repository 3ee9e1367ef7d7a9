package org.logophon.core.review.proof;

import java.util.Optional;

/** The port to a detector of languages. Implementations are safe for use by several threads. */
public interface LanguageGuess {

    /** Knows none. */
    LanguageGuess NONE = text -> Optional.empty();

    /** ISO 639-1 code of the language that a text is most likely in; empty when it is too short to tell. */
    Optional<String> of(String text);

    /** The same, where hardly any other language is possible. */
    default Optional<String> surely(String text) {
        return of(text);
    }
}
