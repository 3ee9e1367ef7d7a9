package org.logophon.core.text.normalization;

import java.util.Locale;
import java.util.stream.Collectors;

/** Words said letter by letter. */
public final class Letters {

    private Letters() {}

    /** {@code UV} → {@code U V}; dots and hyphens between letters fall away. */
    public static String spaced(String word) {
        return word.codePoints()
                .filter(Character::isLetterOrDigit)
                .mapToObj(Character::toString)
                .map(letter -> letter.toUpperCase(Locale.ROOT))
                .collect(Collectors.joining(" "));
    }
}
