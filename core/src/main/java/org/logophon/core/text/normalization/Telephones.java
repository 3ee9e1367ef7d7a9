package org.logophon.core.text.normalization;

import java.util.Arrays;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.stream.Collectors;

/**
 * Telephone and book numbers: digit by digit in their groups (ITU-T E.123 for the writing; practice for the saying).
 */
final class Telephones {

    private Telephones() {}

    static List<Rule> rules(English english) {
        return List.of(
                Rule.of(
                        FormKind.TELEPHONE,
                        "(?<![\\w.+])\\+\\d{1,3}(?:[ \u00A0.-]?\\(\\d{1,4}\\))?(?:[ "
                                + "\u00A0.-]?\\d{2,5}){2,5}(?!\\w|[.,]\\d)",
                        m -> say(english, m)),
                Rule.of(
                        FormKind.TELEPHONE,
                        "(?<![\\w.,£$€-])(?:1[ .-])?(?:\\(\\d{3}\\) ?|\\d{3}[ .-])\\d{3}[ .-]\\d{4}(?![\\w]|[.,-]\\d)",
                        m -> say(english, m)),
                Rule.of(
                        FormKind.TELEPHONE,
                        "(?<![\\w.,£$€-])(?<!\\d[ \u00A0])(?:\\(0\\d{2,5}\\)|0\\d{2,5})(?:[ "
                                + "\u00A0-]\\d{3,8}){1,3}(?![\\w]|[.,-]\\d)",
                        m -> say(english, m)),
                Rule.of(FormKind.TELEPHONE, "(?<![\\w.,£$€-])\\d{3}-\\d{4}(?![\\w]|[.,-]\\d)", m -> say(english, m)),
                Rule.of(FormKind.TELEPHONE, "(?<![\\w.,£$€-])0\\d{9,11}(?![\\w]|[.,-]\\d)", m -> say(english, m)),
                Rule.of(
                        FormKind.NUMBER,
                        "(?<![\\w.,-])97[89][ -]\\d{1,5}[ -]\\d{1,7}[ -]\\d{1,6}[ -][\\dX](?![\\w-])",
                        m -> say(english, m)),
                Rule.ofGroup(
                        FormKind.TELEPHONE,
                        1,
                        "(?i)\\b(?:call|dial|ring|phone|text)(?: to)? (\\d{3,6})(?![\\w]|[.,-]\\d)",
                        m -> say(english, m)));
    }

    private static List<String> say(English english, MatchResult match) {
        String written = match.groupCount() > 0 && match.group(1) != null ? match.group(1) : match.group();
        String zero = Arrays.stream(written.replace("+", "").split("[^\\d]+"))
                .filter(group -> !group.isEmpty())
                .map(english::digits)
                .collect(Collectors.joining(", "));
        String plus = written.startsWith("+") ? "plus " : "";
        String oh = zero.replace("zero", "oh");
        return zero.equals(oh)
                ? List.of(plus + zero)
                : english.british() ? List.of(plus + oh, plus + zero) : List.of(plus + zero, plus + oh);
    }
}
