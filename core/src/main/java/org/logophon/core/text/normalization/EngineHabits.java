package org.logophon.core.text.normalization;

import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.text.dictionary.Dictionary;

/**
 * What a speech engine says of a written form when it is left to itself, in words. The habits are those of espeak-ng
 * 1.51 in
 * English, listened to form by form (a test holds them against the engine's own phonemes); in other languages a number
 * is read
 * as a cardinal and the rest as written.
 */
public final class EngineHabits {

    private static final Pattern PIECE = Pattern.compile(
            "\\d{1,3}(?:,\\d{3})+(?:\\.\\d+)?(?!\\d)|\\d+(?:\\.\\d+)+|\\d+(?:st|nd|rd|th)(?!\\p{L})|\\d+|(?:\\p{L}\\.){2,}|(?<=\\d)[’']?s(?!\\p{L})|(?:\\p{L}\\p{M}*)+(?:['’]\\p{L}+)*|[^\\s\\p{L}\\p{N}]|\\p{N}");
    private static final Pattern EXAMPLE = Pattern.compile("(?i)e\\.g\\.?");
    private static final Pattern PLURAL = Pattern.compile("[’']?s");
    private static final Pattern LETTERED = Pattern.compile("(?i)[ap]m|ms");
    private static final Pattern ORDINAL = Pattern.compile("\\d+(st|nd|rd|th)");
    private static final Pattern ROMAN = Pattern.compile("(?=[IVXLC])C{0,3}(?:XC|XL|L?X{0,3})(?:IX|IV|V?I{0,3})");
    private static final Pattern VOWEL = Pattern.compile("[aeiouy]");
    private static final Pattern SAYABLE = Pattern.compile("[^aeiou]{0,2}[aeiouy].*[^aeiou].*|[aeiou][^aeiou].*");
    private static final Map<String, String> SIGNS = Map.ofEntries(
            Map.entry("£", "pound"),
            Map.entry("$", "dollar"),
            Map.entry("€", "euros"),
            Map.entry("¥", "yen"),
            Map.entry("%", "per cent"),
            Map.entry("°", "degrees"),
            Map.entry("&", "and"),
            Map.entry("@", "at"),
            Map.entry("#", "hash"),
            Map.entry("+", "plus"),
            Map.entry("=", "equals"),
            Map.entry("×", "times"),
            Map.entry("÷", "divided by"),
            Map.entry("/", "slash"),
            Map.entry("~", "tilde"),
            Map.entry("→", "right arrow"),
            Map.entry("≈", "approximately"),
            Map.entry("©", "copyright"),
            Map.entry("®", "registered"),
            Map.entry("½", "a half"),
            Map.entry("¼", "a quarter"),
            Map.entry("¾", "three quarters"),
            Map.entry("²", "two"),
            Map.entry("³", "three"),
            Map.entry("₂", "two"),
            Map.entry("−", "minus"),
            Map.entry("¢", "cents"),
            Map.entry("±", "plus or minus"),
            Map.entry("№", "numero"),
            Map.entry("§", "section"),
            Map.entry("₹", "rupee"),
            Map.entry("™", "trademark"),
            Map.entry("π", "pi"));
    private static final Map<String, String> KNOWN = Map.ofEntries(
            Map.entry("dr", "doctor"),
            Map.entry("mr", "mister"),
            Map.entry("mrs", "missus"),
            Map.entry("st", "saint"),
            Map.entry("etc", "et cetera"),
            Map.entry("ghz", "gigahertz"));

    private EngineHabits() {}

    /** @param language BCP 47 tag of the voice */
    public static String say(String written, String language) {
        ULocale locale = ULocale.forLanguageTag(language);
        if (!"en".equals(locale.getLanguage())) {
            return written.matches("\\d{1,15}") ? SpelledOut.cardinal(written, language) : written;
        }
        if (EXAMPLE.matcher(written).matches()) {
            return "for example";
        }
        English english = English.of(locale);
        List<String> said = new ArrayList<>();
        Matcher pieces = PIECE.matcher(written);
        while (pieces.find()) {
            String piece = pieces.group();
            boolean figureBefore = pieces.start() > 0 && Character.isDigit(written.charAt(pieces.start() - 1));
            boolean figureAfter = pieces.end() < written.length() && Character.isDigit(written.charAt(pieces.end()));
            String word = Character.isDigit(piece.charAt(0)) && piece.charAt(0) < 128
                    ? number(piece, english)
                    : Character.isLetter(piece.charAt(0))
                            ? word(piece, english)
                            : sign(
                                    piece,
                                    figureBefore,
                                    figureAfter,
                                    pieces.start() == 0,
                                    pieces.end() < written.length() && written.charAt(pieces.end()) != ' ');
            if (figureBefore && PLURAL.matcher(piece).matches() && !said.isEmpty()) {
                said.add(English.plural(said.remove(said.size() - 1)));
            } else if (figureBefore && LETTERED.matcher(piece).matches()) {
                said.add(Letters.spaced(piece));
            } else if (!word.isEmpty()) {
                said.add(word);
            }
        }
        return String.join(" ", said);
    }

    private static String sign(String sign, boolean figureBefore, boolean figureAfter, boolean first, boolean touches) {
        return switch (sign) {
            case "-" -> figureBefore && figureAfter ? "dash" : figureAfter && first ? "minus" : "";
            case "." -> touches && !figureBefore ? "dot" : "";
            case ":" -> figureBefore && figureAfter ? "" : touches ? "colon" : "";
            default -> SIGNS.getOrDefault(sign, "");
        };
    }

    private static String number(String figures, English english) {
        if (ORDINAL.matcher(figures).matches()) {
            return english.ordinal(figures.substring(0, figures.length() - 2));
        }
        int point = figures.indexOf('.');
        if (point >= 0) {
            StringBuilder said = new StringBuilder(english.cardinal(figures.substring(0, point)));
            for (String part : figures.substring(point + 1).split("\\.")) {
                said.append(" point ").append(english.digits(part));
            }
            return said.toString();
        }
        if ((figures.length() == 4 && figures.startsWith("19"))) {
            String rest = figures.substring(2);
            return english.cardinal(figures.substring(0, 2)) + " hundred"
                    + ("00".equals(rest)
                            ? ""
                            : (english.british() ? " and " : " ")
                                    + english.cardinal(Integer.toString(Integer.parseInt(rest))));
        }
        return english.cardinal(figures);
    }

    private static String word(String letters, English english) {
        String lower = letters.toLowerCase(Locale.ROOT);
        if (letters.length() > 1 && ROMAN.matcher(letters).matches()) {
            return "roman " + english.cardinal(Integer.toString(RomanNumerals.value(letters)));
        }
        if (KNOWN.containsKey(lower)) {
            return KNOWN.get(lower);
        }
        boolean capitals = letters.length() > 1 && letters.equals(letters.toUpperCase(Locale.ROOT));
        boolean sayable = VOWEL.matcher(lower).find()
                && (!capitals
                        || letters.length() > 4
                        || Dictionary.english().isPlain(lower)
                                && letters.length() > 2
                                && SAYABLE.matcher(lower).matches());
        return letters.indexOf('.') >= 0 || letters.length() == 1 || !sayable ? Letters.spaced(letters) : lower;
    }
}
