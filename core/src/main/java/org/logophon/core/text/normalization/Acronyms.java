package org.logophon.core.text.normalization;

import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
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
            "GUI",
            "VLOG",
            "SWOT",
            "LUFS",
            "LUT",
            "JSON");
    /** Those of them that capitals spell otherwise than they sound. */
    private static final Map<String, String> SOUNDS = Map.of("JPEG", "jay peg", "JSON", "jason");
    /** Letters that make a plain word too. */
    private static final Set<String> LETTERS = Set.of("LED", "SAT", "EMS");
    /** Short words that capitals don't turn into letters when the words beside them are capitals too. */
    private static final Set<String> SAID = Set.of("OK");
    /** Little words that are put in capitals to be stressed. */
    private static final Set<String> STRESSED = Set.of(
            "the", "and", "not", "all", "you", "but", "now", "new", "one", "two", "who", "why", "how", "out", "off",
            "yes", "no", "so", "up", "on", "in", "or", "if", "go", "do", "be", "by", "at", "an", "as", "we", "he", "me",
            "my", "is", "of", "to", "she", "her", "his", "our", "was", "can", "did", "may", "any", "for", "are", "has",
            "had", "too", "own", "big");

    /**
     * Plain words of three letters that people put in capitals to be heard; the dictionary alone would take many
     * initials for words.
     */
    private static final Set<String> SAYABLE = Set.of(
            "hot", "bad", "big", "red", "run", "see", "say", "saw", "hit", "cut", "let", "get", "got", "put", "sit",
            "sun", "sea", "sky", "top", "low", "old", "day", "way", "man", "men", "boy", "bed", "end", "eye", "far",
            "few", "fun", "job", "key", "law", "lot", "mad", "mum", "pay", "ran", "set", "six", "ten", "try", "use",
            "war", "win", "won", "wow", "yet", "fat", "fit", "fix", "fly", "god", "hey", "kid", "lie", "mom", "dad",
            "odd", "per", "sad", "shy", "ask", "ate", "bit", "buy", "car", "cat", "dog", "cry", "die", "dry", "due",
            "ear", "eat", "egg", "joy", "leg", "raw", "rid", "tea", "tie", "via", "wet", "ago", "air", "arm", "art",
            "bag", "bar", "box", "bus", "him", "its", "nor");

    /** The word in capitals right before a place, and right after one. */
    private static final Pattern BEFORE = Pattern.compile("(?<!\\p{L})(\\p{Lu}{1,20})[^\\p{L}\\p{N}.!?\\n]{1,3}$");

    private static final Pattern AFTER = Pattern.compile("^[^\\p{L}\\p{N}.!?\\n]{1,3}(\\p{Lu}{1,20})(?!\\p{L})");

    private Acronyms() {}

    static List<Rule> rules(ULocale locale) {
        boolean english = "en".equals(locale.getLanguage());
        List<Rule> rules = new ArrayList<>();
        if (english) {
            // the letter, not the article: nothing follows that an article could stand before
            rules.add(Rule.of(
                    FormKind.ACRONYM,
                    "(?<=\\p{Ll} )A(?=[,;:!?)]|\\.(?!\\p{L})|$| "
                            + "(?:is|was|has|had|and|or|to|in|on|at|for|with)(?!\\p{L}))",
                    m -> List.of("A")));
        }
        rules.addAll(List.of(
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
                        m -> plural(m.group(1))),
                Rule.of(
                        FormKind.ACRONYM,
                        "(?<![\\p{L}\\p{N}])(?:WWI{1,2}|WW[12])(?![\\p{L}\\p{N}])",
                        m -> List.of("world war " + (m.group().matches("WW(?:II|2)") ? "two" : "one"))),
                Rule.ofGroup(
                        FormKind.ACRONYM,
                        1,
                        "(?<![\\p{L}\\p{N}])[Tt]he (WHO)(?![\\p{L}\\p{N}])",
                        m -> List.of("W H O", "who")),
                Rule.of(
                        FormKind.ACRONYM,
                        "(?<![\\p{L}\\p{N}])(?:PhD|BSc|MSc|DPhil|MPhil|BEng|MEng)s?(?![\\p{L}\\p{N}])",
                        m -> List.of(degree(m.group()))),
                Rule.around(
                        FormKind.ACRONYM,
                        "(?<![\\p{L}\\p{N}'’])\\p{Lu}{2,8}(?![\\p{L}\\p{N}]|-\\p{N})",
                        (m, text) -> english && stressed(m, text) ? List.of() : say(m, english))));
        return rules;
    }

    private static String degree(String written) {
        return written.equals("DPhil") || written.equals("MPhil")
                ? written.charAt(0) + " fill"
                : written.endsWith("Eng")
                        ? written.charAt(0) + " enj"
                        : written.endsWith("s")
                                ? Letters.spaced(written.substring(0, written.length() - 1)) + "s"
                                : Letters.spaced(written);
    }

    /** A plain word beside another one in capitals, or the "am" of "I AM": it is louder, and no letters. */
    private static boolean stressed(MatchResult match, String text) {
        if (WORDS.contains(match.group())
                || !Dictionary.english().isPlain(match.group().toLowerCase(Locale.ROOT))) {
            return false;
        }
        return BEFORE.matcher(text).region(0, match.start()).results().anyMatch(before -> shouted(before.group(1)))
                || AFTER.matcher(text)
                        .region(match.end(), text.length())
                        .results()
                        .anyMatch(after -> shouted(after.group(1)));
    }

    private static boolean shouted(String word) {
        String lower = word.toLowerCase(Locale.ROOT);
        return word.equals("I")
                || STRESSED.contains(lower)
                || word.length() > 3
                        && !WORDS.contains(word)
                        && Dictionary.english().isPlain(lower);
    }

    private static List<String> plural(String stem) {
        String letters = Letters.spaced(stem) + "s";
        String word = SOUNDS.getOrDefault(stem, stem.toLowerCase(Locale.ROOT)) + "s";
        return WORDS.contains(stem) ? List.of(word, letters) : List.of(letters, word);
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
            return List.of(SOUNDS.getOrDefault(word, lower), Letters.spaced(word));
        }
        // a long word in capitals is shouted, not spelled
        if (word.length() > 5
                || word.length() > 2 && english && !LETTERS.contains(word) && SAYABLE.contains(lower)
                || word.length() > 3
                        && english
                        && lower.chars().anyMatch(c -> "aeiouy".indexOf(c) >= 0)
                        && Dictionary.english().isPlain(lower)) {
            return List.of();
        }
        return word.length() < 3 ? List.of(Letters.spaced(word)) : List.of(Letters.spaced(word), lower);
    }
}
