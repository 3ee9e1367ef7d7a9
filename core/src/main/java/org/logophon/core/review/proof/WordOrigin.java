package org.logophon.core.review.proof;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * The language that a word in no English dictionary seems to come from, by letters and endings that are usual there and
 * rare elsewhere. Ours; a guess, which is offered and never made by itself.
 */
enum WordOrigin {
    GERMAN(
            "de",
            "[äöüß]",
            "(?:sch[lmnrtw]|tsch|pf|zw).*|.*(?:berg|burg|wald|stein|bach|mann|dorf|heim|feld|haus|werk|straße|strasse"
                    + "|keit|heit|lich|ung|tz|eck)"),
    FRENCH("fr", "[çœêèâîôûëïàù]", ".*(?:eaux?|eux|aux|oix|oir|ault|gny|gne|que|uy|ois|ette|elle|ille|ière|é|ée)"),
    SPANISH("es", "[ñ¿¡]", ".*(?:[íóúá].*|[aeiou]ndez|[aeiou]nez|íguez|illo|illa|ción|ujo|uela|ado)"),
    ITALIAN("it", "[òì]", ".*(?:zz[aoi]|cchi[oa]?|gli[aoe]?|elli|etti|ucci|ucc[ao]|ione|ghi)");

    /** Shorter words look like anything. */
    private static final int FEWEST_LETTERS = 5;

    private final String tag;
    private final Pattern letters;
    private final Pattern shape;

    WordOrigin(String tag, String letters, String shape) {
        this.tag = tag;
        this.letters = Pattern.compile(letters);
        this.shape = Pattern.compile(shape);
    }

    /** BCP 47. */
    String tag() {
        return tag;
    }

    /** @param words a name may have several, of which one tells */
    static Optional<WordOrigin> of(String words) {
        String lower = words.toLowerCase(Locale.ROOT);
        for (WordOrigin origin : values()) {
            if (origin.letters.matcher(lower).find()) {
                return Optional.of(origin);
            }
        }
        for (String word : lower.split("[^\\p{L}]+")) {
            for (WordOrigin origin : values()) {
                if (word.length() >= FEWEST_LETTERS
                        && origin.shape.matcher(word).matches()) {
                    return Optional.of(origin);
                }
            }
        }
        return Optional.empty();
    }
}
