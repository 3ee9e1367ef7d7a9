package org.logophon.core.text.normalization;

import java.util.List;
import java.util.Map;

/** Halves, thirds and quarters in German, French, Spanish and Italian. Common practice, no source. */
final class OtherFractions {

    /** As {@link #PLACES} has them. */
    private static final Map<String, List<String>> SAID = Map.of(
            "de", List.of("ein halb", "ein Viertel", "drei Viertel", "ein Drittel", "zwei Drittel"),
            "fr", List.of("un demi", "un quart", "trois quarts", "un tiers", "deux tiers"),
            "es", List.of("un medio", "un cuarto", "tres cuartos", "un tercio", "dos tercios"),
            "it", List.of("un mezzo", "un quarto", "tre quarti", "un terzo", "due terzi"));

    private static final Map<String, Integer> PLACES =
            Map.of("1/2", 0, "½", 0, "1/4", 1, "¼", 1, "3/4", 2, "¾", 2, "1/3", 3, "⅓", 3, "2/3", 4, "⅔", 4);

    private OtherFractions() {}

    /** Nothing in another language. */
    static List<String> said(String language, String written) {
        List<String> known = SAID.get(language);
        return known == null ? List.of() : List.of(known.get(PLACES.get(written)));
    }
}
