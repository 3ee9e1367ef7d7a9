package org.logophon.core.text.normalization;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Sums of money: the currency is said after the amount, its hundredths after that (ISO 4217 for codes; practice for the
 * saying).
 */
final class Money {

    private static final String AMOUNT = "((?:\\d{1,3}(?:,\\d{3})+|\\d+)(?:\\.\\d+)?)";
    private static final String SCALE =
            "(?:[ \u00A0]?(k|K|m|M|mn|bn|B|b|tn|thousand|million|billion|trillion)(?![\\p{L}\\p{N}]))?";
    private static final String SIGN = "(US\\$|A\\$|C\\$|HK\\$|NZ\\$|[£$€¥₹]|(?:GBP|USD|EUR|CHF|JPY)[ \u00A0]?)";

    /** One, many, one hundredth, many hundredths; an empty hundredth where the currency has none. */
    private record Name(String one, String many, String cent, String cents) {}

    private static final Map<String, Name> NAMES = Map.ofEntries(
            Map.entry("£", new Name("pound", "pounds", "penny", "pence")),
            Map.entry("GBP", new Name("pound", "pounds", "penny", "pence")),
            Map.entry("$", new Name("dollar", "dollars", "cent", "cents")),
            Map.entry("USD", new Name("U S dollar", "U S dollars", "cent", "cents")),
            Map.entry("US$", new Name("U S dollar", "U S dollars", "cent", "cents")),
            Map.entry("A$", new Name("Australian dollar", "Australian dollars", "cent", "cents")),
            Map.entry("C$", new Name("Canadian dollar", "Canadian dollars", "cent", "cents")),
            Map.entry("HK$", new Name("Hong Kong dollar", "Hong Kong dollars", "cent", "cents")),
            Map.entry("NZ$", new Name("New Zealand dollar", "New Zealand dollars", "cent", "cents")),
            Map.entry("€", new Name("euro", "euros", "cent", "cents")),
            Map.entry("EUR", new Name("euro", "euros", "cent", "cents")),
            Map.entry("¥", new Name("yen", "yen", "", "")),
            Map.entry("JPY", new Name("yen", "yen", "", "")),
            Map.entry("₹", new Name("rupee", "rupees", "paisa", "paise")),
            Map.entry("CHF", new Name("Swiss franc", "Swiss francs", "rappen", "rappen")));
    private static final Map<String, String> SCALES = Map.ofEntries(
            Map.entry("k", "thousand"),
            Map.entry("K", "thousand"),
            Map.entry("m", "million"),
            Map.entry("M", "million"),
            Map.entry("mn", "million"),
            Map.entry("bn", "billion"),
            Map.entry("B", "billion"),
            Map.entry("b", "billion"),
            Map.entry("tn", "trillion"));

    private final English english;

    private Money(English english) {
        this.english = english;
    }

    static List<Rule> rules(English english) {
        Money money = new Money(english);
        return List.of(
                Rule.of(
                        FormKind.MONEY,
                        "(?<![\\p{L}\\p{N}])" + SIGN + AMOUNT + SCALE + "[–-]" + SIGN + "?" + AMOUNT + SCALE
                                + "(?![\\p{N}])",
                        m -> money.range(m.group(1), m.group(2), m.group(3), m.group(5), m.group(6))),
                Rule.of(
                        FormKind.MONEY,
                        "(?<![\\p{L}\\p{N}])([-−]?)" + SIGN + "([-−]?)" + AMOUNT + SCALE + "(?![\\p{N}])",
                        m -> money.say(m.group(1) + m.group(3), m.group(2), m.group(4), m.group(5))),
                Rule.of(
                        FormKind.MONEY,
                        "(?<![\\w.,])" + AMOUNT + SCALE + "[ \u00A0]?(€|£|GBP|USD|EUR|CHF)(?![\\p{L}\\p{N}])",
                        m -> money.say("", m.group(3), m.group(1), m.group(2))),
                Rule.of(
                        FormKind.MONEY,
                        "(?<![\\w.,£])(\\d{1,3})[ ]?p(?![\\p{L}\\p{N}.])",
                        m -> List.of(money.cents("£", m.group(1)))),
                Rule.of(
                        FormKind.MONEY,
                        "(?<![\\w.,$])(\\d{1,3})[ ]?¢(?![\\p{L}\\p{N}])",
                        m -> List.of(money.cents("$", m.group(1)))));
    }

    private List<String> say(String minus, String sign, String amount, String scale) {
        Name name = name(sign);
        String before = minus.isEmpty() ? "" : "minus ";
        if (scale != null) {
            return List.of(before + english.cardinal(amount) + " " + scale(scale) + " " + name.many());
        }
        String plain = amount.replaceAll(",$", "");
        int point = plain.indexOf('.');
        String cents = point < 0 ? "" : plain.substring(point + 1);
        String whole = point < 0 ? plain : plain.substring(0, point);
        if (cents.length() != 2 || name.cent().isEmpty()) {
            return point < 0
                    ? whole(before, whole, name)
                    : List.of(before + english.cardinal(plain) + " " + name.many());
        }
        if (Integer.parseInt(cents) == 0) {
            return whole(before, whole, name);
        }
        if (whole.matches("0+")) {
            return List.of(before + cents(sign, cents));
        }
        String short_ =
                before + amount(whole, name) + " " + english.cardinal(Integer.toString(Integer.parseInt(cents)));
        String full = before + amount(whole, name) + " and " + cents(sign, cents);
        return english.british() && !cents.startsWith("0") ? List.of(short_, full) : List.of(full, short_);
    }

    /** "A £50 note" is a fifty pound note: the singular is offered too. */
    private List<String> whole(String before, String whole, Name name) {
        List<String> said = new ArrayList<>(List.of(before + amount(whole, name)));
        if (!name.one().equals(name.many()) && !"1".equals(whole)) {
            said.add(before + english.cardinal(whole) + " " + name.one());
        }
        return said;
    }

    private List<String> range(String sign, String from, String fromScale, String to, String toScale) {
        String first = english.cardinal(from) + (fromScale == null ? "" : " " + scale(fromScale));
        String second = english.cardinal(to) + (toScale == null ? "" : " " + scale(toScale));
        return List.of(first + " to " + second + " " + name(sign).many());
    }

    private String amount(String whole, Name name) {
        return english.cardinal(whole) + " " + ("1".equals(whole) ? name.one() : name.many());
    }

    private String cents(String sign, String figures) {
        Name name = name(sign);
        int number = Integer.parseInt(figures);
        return english.cardinal(Integer.toString(number)) + " " + (number == 1 ? name.cent() : name.cents());
    }

    private static Name name(String sign) {
        return NAMES.get(sign.strip().replace("\u00A0", ""));
    }

    private static String scale(String written) {
        return SCALES.getOrDefault(written, written);
    }
}
