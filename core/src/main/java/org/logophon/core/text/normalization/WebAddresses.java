package org.logophon.core.text.normalization;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Addresses of pages and of mail: dots, slashes and at signs are said, the scheme isn't (practice). */
final class WebAddresses {

    private static final String LABEL = "[\\p{L}\\p{N}](?:[\\p{L}\\p{N}-]{0,61}[\\p{L}\\p{N}])?";
    /** Top-level domains of IANA's root zone that scripts are likely to hold. */
    private static final String TOP =
            "(?:com|org|net|edu|gov|info|io|co|uk|us|eu|de|fr|es|it|nl|ie|ca|au|nz|ch|at|be|se|no|dk|fi|pl|pt|cz|jp|"
                    + "cn|in|br|mx|za|app|dev|tv|me|ai|film|studio|museum|example|test|shop|blog|wales|scot|cymru|london)";

    private static final String HOST = "(?:" + LABEL + "\\.){1,8}" + TOP + "(?![\\p{L}\\p{N}-])";
    private static final Pattern PIECE = Pattern.compile("[\\p{L}]+|\\p{Nd}+|[^\\p{L}\\p{Nd}]");
    private static final Set<String> LETTERS = Set.of(
            "uk", "us", "eu", "io", "tv", "www", "nl", "nz", "ch", "cz", "jp", "cn", "br", "mx", "za", "dk", "fr",
            "html", "php", "pdf");

    private WebAddresses() {}

    static List<Rule> rules() {
        return List.of(
                Rule.of(
                        FormKind.WEB_ADDRESS,
                        "(?i)(?<![\\p{L}\\p{N}@])[\\p{L}\\p{N}._%+-]{1,64}@" + HOST,
                        m -> List.of(say(m.group()))),
                Rule.of(
                        FormKind.WEB_ADDRESS,
                        "(?i)(?<![\\p{L}\\p{N}@])(?:https?://)[^\\s<>\"”’)]{0,500}[\\p{L}\\p{N}/]",
                        m -> List.of(
                                say(m.group().replaceFirst("(?i)^https?://", "").replaceFirst("/$", "")))),
                Rule.of(
                        FormKind.WEB_ADDRESS,
                        "(?i)(?<![\\p{L}\\p{N}@.])" + HOST + "(?:/[\\p{L}\\p{N}_~.%/?=&#-]{0,300}[\\p{L}\\p{N}])?",
                        m -> List.of(say(m.group()))),
                Rule.of(
                        FormKind.WEB_ADDRESS,
                        "(?<![\\p{L}\\p{N}&])#(\\p{L}[\\p{L}\\p{N}_]{1,60})",
                        m -> List.of("hashtag " + words(m.group(1)))),
                Rule.of(
                        FormKind.WEB_ADDRESS,
                        "(?<![\\p{L}\\p{N}.])@(\\p{L}[\\p{L}\\p{N}_]{1,60})",
                        m -> List.of("at " + words(m.group(1)))));
    }

    private static String words(String tag) {
        return tag.replace('_', ' ').replaceAll("(?<=\\p{Ll})(?=\\p{Lu})", " ").toLowerCase(java.util.Locale.ROOT);
    }

    private static String say(String address) {
        List<String> said = new ArrayList<>();
        Matcher pieces = PIECE.matcher(address);
        while (pieces.find()) {
            String piece = pieces.group();
            said.add(
                    switch (piece) {
                        case "." -> "dot";
                        case "/" -> "slash";
                        case "@" -> "at";
                        case "-" -> "dash";
                        case "_" -> "underscore";
                        case "+" -> "plus";
                        case "?" -> "question mark";
                        case "=" -> "equals";
                        case "&" -> "and";
                        case "#" -> "hash";
                        case ":" -> "colon";
                        case "%" -> "per cent";
                        case "~" -> "tilde";
                        default ->
                            LETTERS.contains(piece.toLowerCase(java.util.Locale.ROOT))
                                    ? Letters.spaced(piece)
                                    : piece.toLowerCase(java.util.Locale.ROOT);
                    });
        }
        return String.join(" ", said);
    }
}
