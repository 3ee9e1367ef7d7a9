package org.logophon.core.text.normalization;

import java.util.ArrayList;
import java.util.List;

/**
 * Times of day and running times (New Hart's Rules, by memory 11.3: the clause is unverified; the 24-hour clock as it
 * is read out, practice).
 */
final class Times {

    private static final String HALF = "([ap])\\.? ?m\\b\\.?";

    private final English english;

    private Times(English english) {
        this.english = english;
    }

    static List<Rule> rules(English english) {
        Times times = new Times(english);
        String clock = "(\\d{1,2}):(\\d{2})";
        return List.of(
                Rule.of(
                        FormKind.TIME,
                        "(?i)(?<![\\w.,:/])(\\d{1,2})(?:[:.](\\d{2}))?[–-](\\d{1,2})(?:[:.](\\d{2}))? ?" + HALF,
                        m -> times.valid(m.group(1), m.group(2)) && times.valid(m.group(3), m.group(4))
                                ? List.of(times.hour(m.group(1), m.group(2), false) + " to "
                                        + times.hour(m.group(3), m.group(4), false) + half(m.group(5)))
                                : List.of()),
                Rule.of(
                        FormKind.TIME,
                        "(?i)(?<![\\w.,:/])(\\d{1,2})(?:[:.](\\d{2}))? ?" + HALF,
                        m -> times.valid(m.group(1), m.group(2))
                                ? List.of(times.hour(m.group(1), m.group(2), false) + half(m.group(3)))
                                : List.of()),
                Rule.of(
                        FormKind.TIME,
                        "(?<![\\w.,:/])" + clock + "[–-]" + clock + "(?![\\w:])",
                        m -> times.valid(m.group(1), m.group(2)) && times.valid(m.group(3), m.group(4))
                                ? List.of(times.hour(m.group(1), m.group(2), true) + " to "
                                        + times.hour(m.group(3), m.group(4), true))
                                : List.of()),
                Rule.of(
                        FormKind.TIME,
                        "(?<![\\w.,:/])(\\d{1,2}):(\\d{2}):(\\d{2})(?![\\w:])",
                        m -> List.of(times.running(m.group(1), m.group(2), m.group(3)))),
                Rule.of(
                        FormKind.TIME,
                        "(?<![\\w.,:/])" + clock + "(?![\\w:]|[.,]\\d)",
                        m -> times.ofDay(m.group(1), m.group(2))),
                Rule.of(
                        FormKind.TIME,
                        "(?<![\\w.,:/])(\\d{1,2}) ?h ?(\\d{1,2})(?: ?m(?:in)?)?(?!\\w)",
                        m -> List.of(times.amount(m.group(1), "hour") + " " + times.amount(m.group(2), "minute"))));
    }

    private boolean valid(String hour, String minute) {
        return Integer.parseInt(hour) <= 24 && (minute == null || Integer.parseInt(minute) < 60);
    }

    private static String half(String letter) {
        return " " + letter.toUpperCase(java.util.Locale.ROOT) + " M";
    }

    private List<String> ofDay(String hour, String minute) {
        if (Integer.parseInt(minute) > 59) {
            return List.of();
        }
        if (!valid(hour, minute)) {
            return List.of(running("0", hour, minute));
        }
        List<String> said = new ArrayList<>(List.of(hour(hour, minute, true)));
        int twelve = Integer.parseInt(hour) % 12;
        if (Integer.parseInt(hour) > 12) {
            said.add(hour(Integer.toString(twelve == 0 ? 12 : twelve), minute, false) + " P M");
        }
        said.add(running("0", hour, minute));
        return said;
    }

    /** @param alone true when no A M or P M follows: a full hour then needs a word */
    private String hour(String hour, String minute, boolean alone) {
        int number = Integer.parseInt(hour);
        String name = english.cardinal(Integer.toString(number));
        if (minute == null || "00".equals(minute)) {
            return !alone ? name : number == 0 ? "midnight" : number <= 12 ? name + " o'clock" : name + " hundred";
        }
        return name
                + (minute.startsWith("0") ? " oh " : " ")
                + english.cardinal(Integer.toString(Integer.parseInt(minute)));
    }

    private String running(String hours, String minutes, String seconds) {
        List<String> parts = new ArrayList<>();
        if (Integer.parseInt(hours) > 0) {
            parts.add(amount(hours, "hour"));
        }
        if (Integer.parseInt(minutes) > 0) {
            parts.add(amount(minutes, "minute"));
        }
        if (Integer.parseInt(seconds) > 0 || parts.isEmpty()) {
            parts.add(amount(seconds, "second"));
        }
        return parts.size() < 2
                ? parts.get(0)
                : String.join(" ", parts.subList(0, parts.size() - 1)) + " and " + parts.get(parts.size() - 1);
    }

    private String amount(String figures, String unit) {
        int number = Integer.parseInt(figures);
        return english.cardinal(Integer.toString(number)) + " " + unit + (number == 1 ? "" : "s");
    }
}
