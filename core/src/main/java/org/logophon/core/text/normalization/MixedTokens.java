package org.logophon.core.text.normalization;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.text.dictionary.Dictionary;

/** Letters and figures in one word, and capitals inside a word: H2O, MP3, B12, 4K, 1080p, COVID-19. */
final class MixedTokens {

    private static final Pattern PART = Pattern.compile("\\p{Nd}+(?:\\.\\p{Nd}+)?|[₀-₉]+|\\p{L}+");
    private static final String SUBSCRIPTS = "₀₁₂₃₄₅₆₇₈₉";

    private final English english;

    private MixedTokens(English english) {
        this.english = english;
    }

    static List<Rule> rules(English english) {
        MixedTokens mixed = new MixedTokens(english);
        return List.of(
                Rule.of(
                        FormKind.NUMBER,
                        "(?<![\\p{L}\\p{N}.,£$€])((?:\\d{1,3}(?:,\\d{3})+|\\d+)(?:\\.\\d+)?)(k|M|bn|tn)(?![\\p{L}\\p{N}])",
                        m -> List.of(english.cardinal(m.group(1))
                                + switch (m.group(2)) {
                                    case "k" -> " thousand";
                                    case "M" -> " million";
                                    case "bn" -> " billion";
                                    default -> " trillion";
                                })),
                Rule.of(
                        FormKind.MIXED,
                        "(?<![\\p{L}\\p{N}.,])(?=[\\p{L}\\p{N}₀-₉-]{0,40}\\p{L})(?=[\\p{L}\\p{N}₀-₉-]{0,40}[\\p{Nd}₀-₉])"
                                + "(?:\\p{Lu}{1,6}|\\p{L}{1,2}|\\p{Lu}\\p{Ll}{1,2}|\\p{L}{3,8}(?=\\d)|\\d{1,4})(?:-?(?:\\p{Lu}{1,6}|\\p{L}{1,2}|[\\p{Nd}]{1,4}|[₀-₉]{1,3})){1,6}(?![\\p{L}\\p{N}]|[.,]\\d)",
                        mixed::say),
                Rule.of(
                        FormKind.MIXED,
                        "(?<![\\p{L}\\p{N}'’])(?!Mc|Mac|O['’]|De|Van|Le|La|Di|Fitz)\\p{L}\\p{Ll}*\\p{Ll}\\p{Lu}\\p{L}*(?![\\p{L}\\p{N}])",
                        mixed::camel),
                Rule.of(
                        FormKind.MIXED,
                        "(?<![\\p{L}\\p{N}'’])\\p{Ll}\\p{Lu}[\\p{L}]{1,12}(?![\\p{L}\\p{N}])",
                        mixed::camel));
    }

    /**
     * Names of the picture trade: heights in lines (SMPTE's and ITU's raster names; 1080p is no sum of pence), ITU-T's
     * names of codings, apertures, views all around.
     */
    static List<Rule> pictureHeights(English english) {
        MixedTokens mixed = new MixedTokens(english);
        return List.of(
                Rule.of(
                        FormKind.MIXED,
                        "(?<![\\p{L}\\p{N}.,£$€])(144|240|360|480|576|720|1080|1440|2160|4320)([pi])(?![\\p{L}\\p{N}])",
                        m -> List.of(mixed.pairs(m.group(1)) + " " + m.group(2).toUpperCase(Locale.ROOT))),
                Rule.of(
                        FormKind.MIXED,
                        "(?<![\\p{L}\\p{N}.])(\\p{Lu})\\.(\\d{3})(?![\\p{L}\\p{N}]|[.,]\\d)",
                        m -> List.of(
                                m.group(1) + " " + english.digits(m.group(2)),
                                m.group(1) + " " + mixed.pairs(m.group(2)))),
                Rule.of(
                        FormKind.MIXED,
                        "(?<![\\p{L}\\p{N}/.])f/(\\d{1,2}(?:\\.\\d)?)(?![\\p{L}\\p{N}/]|[.,]\\d)",
                        m -> List.of("F " + english.cardinal(m.group(1)))),
                Rule.of(
                        FormKind.NUMBER,
                        "(?<![\\p{L}\\p{N}.,£$€/:–-])360(?=(?:[- ]degree|[- "
                                + "](?:views?|cameras?|videos?|turns?|tours?|photos?|images?))(?!\\p{Ll}{3}))",
                        m -> List.of(mixed.pairs("360"), english.cardinal("360"))));
    }

    private List<String> say(MatchResult match) {
        List<String> parts = new ArrayList<>();
        List<String> digitwise = new ArrayList<>();
        Matcher part = PART.matcher(match.group());
        while (part.find()) {
            String piece = part.group();
            boolean figures = Character.isDigit(piece.charAt(0)) || SUBSCRIPTS.indexOf(piece.charAt(0)) >= 0;
            String plain = figures ? ascii(piece) : piece;
            parts.add(
                    figures
                            ? plain.length() == 4 && !plain.startsWith("0") ? pairs(plain) : english.cardinal(plain)
                            : letters(plain));
            digitwise.add(figures ? english.digits(plain) : letters(plain));
        }
        String said = String.join(" ", parts);
        String digits = String.join(" ", digitwise);
        return said.equals(digits) ? List.of(said) : List.of(said, digits);
    }

    private static String letters(String piece) {
        String lower = piece.toLowerCase(Locale.ROOT);
        boolean word = piece.length() > 3
                || piece.length() == 3
                        && piece.chars().skip(1).allMatch(Character::isLowerCase)
                        && Dictionary.english().isPlain(lower);
        return word ? lower : Letters.spaced(piece);
    }

    private List<String> camel(MatchResult match) {
        String token = match.group();
        String split = token.replaceAll("(?<=\\p{Ll})(?=\\p{Lu})", " ");
        StringBuilder said = new StringBuilder();
        for (String part : split.split(" ")) {
            boolean spelled = part.length() == 1 || part.chars().allMatch(Character::isUpperCase);
            said.append(said.isEmpty() ? "" : " ")
                    .append(spelled ? Letters.spaced(part) : part.toLowerCase(Locale.ROOT));
        }
        return List.of(said.toString(), token.toLowerCase(Locale.ROOT));
    }

    /** 1080 is ten eighty, 720 seven twenty, 2000 two thousand. */
    private String pairs(String figures) {
        int split = figures.length() - 2;
        String tail = figures.substring(split);
        if ("00".equals(tail) || figures.startsWith("0") || tail.startsWith("0")) {
            return figures.length() == 4 && !figures.startsWith("0")
                    ? english.year(figures)
                    : english.cardinal(figures);
        }
        return english.cardinal(figures.substring(0, split)) + " " + english.cardinal(tail);
    }

    private static String ascii(String figures) {
        StringBuilder plain = new StringBuilder();
        figures.chars()
                .forEach(c ->
                        plain.append(SUBSCRIPTS.indexOf(c) >= 0 ? (char) ('0' + SUBSCRIPTS.indexOf(c)) : (char) c));
        return plain.toString();
    }
}
