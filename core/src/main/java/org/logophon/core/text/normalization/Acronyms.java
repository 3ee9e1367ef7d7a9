package org.logophon.core.text.normalization;

import com.ibm.icu.util.ULocale;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.MatchResult;
import org.logophon.core.text.dictionary.Dictionary;

/**
 * Acronyms: letters or a word? Letters unless usage has made a word of it (as the Oxford English Dictionary marks them:
 * by memory, its entries are unverified); both are offered.
 */
final class Acronyms {

    private static final Set<String> WORDS = Set.of(
            "NASA",
            "NATO",
            "UNESCO",
            "UNICEF",
            "AIDS",
            "SCUBA",
            "LASER",
            "RADAR",
            "SONAR",
            "OPEC",
            "PIN",
            "SIM",
            "RAM",
            "ROM",
            "FIFA",
            "UEFA",
            "BAFTA",
            "COVID",
            "SWAT",
            "TASER",
            "POTUS",
            "BIOS",
            "CAPTCHA",
            "GIF",
            "ASCII",
            "OSCAR",
            "JPEG",
            "MOOC",
            "YOLO",
            "FOMO",
            "LIDAR",
            "SARS",
            "MERS",
            "ISIS",
            "NIMBY",
            "ESA",
            "QUANGO",
            "WASP",
            "MIDI",
            "LAN",
            "WAN",
            "DOS",
            "NAFTA",
            "ASEAN",
            "NOAA",
            "OSHA",
            "MENSA",
            "INTERPOL",
            "EUROPOL",
            "BREXIT",
            "GOAT",
            "ASBO",
            "ACAS",
            "DEFRA",
            "DORA",
            "MOMA",
            "AWOL",
            "SOHO",
            "GUI");
    /** Short words that capitals don't turn into letters when the words beside them are capitals too. */
    private static final Set<String> SAID = Set.of("OK");
    /** Little words that are put in capitals to be stressed. */
    private static final Set<String> STRESSED = Set.of(
            "the", "and", "not", "all", "you", "but", "now", "new", "one", "two", "who", "why", "how", "out", "off",
            "yes", "no", "so", "up", "on", "in", "or", "if", "go", "do", "be", "by", "at", "an", "as", "we", "he", "me",
            "my", "is", "of", "to", "she", "her", "his", "our", "was", "can", "did", "may", "any", "for", "are", "has",
            "had", "too", "own", "big");

    private Acronyms() {}

    static List<Rule> rules(ULocale locale) {
        boolean english = "en".equals(locale.getLanguage());
        return List.of(
                Rule.of(
                        FormKind.ACRONYM,
                        "(?<![\\p{L}\\p{N}.])(?:\\p{Lu}\\.){2,6}(?![\\p{L}\\p{N}])",
                        m -> List.of(Letters.spaced(m.group()))),
                Rule.of(
                        FormKind.ACRONYM,
                        "(?<![\\p{L}\\p{N}])\\p{Lu}(?:&\\p{Lu}){1,2}s?(?![\\p{L}\\p{N}])",
                        m -> List.of(m.group().replace("&", english ? " and " : " & "))),
                Rule.of(
                        FormKind.ACRONYM,
                        "(?<![\\p{L}\\p{N}])(\\p{Lu}{2,5})s(?![\\p{L}\\p{N}])",
                        m -> List.of(
                                Letters.spaced(m.group(1)) + "s", m.group(1).toLowerCase(Locale.ROOT) + "s")),
                Rule.of(
                        FormKind.ACRONYM,
                        "(?<![\\p{L}\\p{N}])(?:PhD|BSc|MSc|DPhil|MPhil|BEng|MEng)s?(?![\\p{L}\\p{N}])",
                        m -> List.of(degree(m.group()))),
                Rule.of(
                        FormKind.ACRONYM,
                        "(?<![\\p{L}\\p{N}'’])\\p{Lu}{2,8}(?![\\p{L}\\p{N}]|-\\p{N})",
                        m -> say(m, english)));
    }

    private static String degree(String written) {
        return written.equals("DPhil") || written.equals("MPhil")
                ? written.charAt(0) + " fill"
                : written.endsWith("Eng") ? written.charAt(0) + " enj" : Letters.spaced(written);
    }

    private static List<String> say(MatchResult match, boolean english) {
        String word = match.group();
        String lower = word.toLowerCase(Locale.ROOT);
        if (SAID.contains(word) && english) {
            return List.of("okay", "O K");
        }
        if (english && STRESSED.contains(lower)) {
            return List.of();
        }
        if (WORDS.contains(word)) {
            return List.of(word.equals("JPEG") ? "jay peg" : lower, Letters.spaced(word));
        }
        // a long word in capitals is shouted, not spelled
        if (word.length() > 5
                || word.length() > 3
                        && english
                        && lower.chars().anyMatch(c -> "aeiouy".indexOf(c) >= 0)
                        && Dictionary.english().isPlain(lower)) {
            return List.of();
        }
        return word.length() < 3 ? List.of(Letters.spaced(word)) : List.of(Letters.spaced(word), lower);
    }
}
