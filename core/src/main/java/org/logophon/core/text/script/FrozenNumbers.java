package org.logophon.core.text.script;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Numbers after the first delivery: a cue keeps the number that it was delivered with. A new one between 040 and 050
 * becomes 045, the next before it 042, and 040A when no whole number is left; a number that was ever used is not used
 * again.
 */
public final class FrozenNumbers {

    private static final Pattern NUMBER = Pattern.compile("(.*?)(\\d{1,9})([A-Z]*)$");

    private final CueNumbers numbers;
    private final Set<String> used;

    /** @param used every number of a cue that is or was in the script */
    public FrozenNumbers(CueNumbers numbers, Set<String> used) {
        this.numbers = numbers;
        this.used = new HashSet<>(used);
    }

    /**
     * The numbers, of which each stands once: where several cues have the same, one keeps it and the others have none.
     *
     * @param numbers in the order of the script, null for a cue without one
     * @param keeps   the places of cues that keep their number before others; of several the first does
     */
    public static List<String> distinct(List<String> numbers, IntPredicate keeps) {
        List<String> distinct = new ArrayList<>(Collections.nCopies(numbers.size(), null));
        Set<String> taken = new HashSet<>();
        for (boolean turn : new boolean[] {true, false}) {
            for (int i = 0; i < numbers.size(); i++) {
                if (keeps.test(i) == turn && numbers.get(i) != null && taken.add(numbers.get(i))) {
                    distinct.set(i, numbers.get(i));
                }
            }
        }
        return distinct;
    }

    /** @param known the numbers in the order of the script, null for a new cue. @return all numbers */
    public List<String> complete(List<String> known) {
        List<String> all = new ArrayList<>(known);
        for (int from = 0; from < all.size(); from++) {
            if (all.get(from) != null) {
                continue;
            }
            int to = from;
            while (to < all.size() && all.get(to) == null) {
                to++;
            }
            fill(all, from, to);
        }
        return all;
    }

    private void fill(List<String> all, int from, int to) {
        String before = from == 0 ? null : all.get(from - 1);
        String after = to == all.size() ? null : all.get(to);
        int low = before == null ? 0 : value(before);
        int count = to - from;
        for (int i = 0; i < count; i++) {
            int high = after == null || value(after) <= low ? -1 : value(after);
            int wanted = high < 0 ? low + numbers.step() : low + (high - low) / (count - i + 1);
            String number = high < 0 ? nextFree(wanted) : between(low, high, wanted);
            String given = number != null ? number : lettered(before == null ? written(0) : before);
            used.add(given);
            all.set(from + i, given);
            before = given;
            low = value(given);
        }
    }

    private String nextFree(int wanted) {
        int value = wanted;
        while (used.contains(written(value))) {
            value++;
        }
        return written(value);
    }

    /** The free whole number nearest to the wanted one, or null when all are taken. */
    private String between(int low, int high, int wanted) {
        for (int away = 0; away < high - low; away++) {
            for (int value : new int[] {wanted - away, wanted + away}) {
                if (value > low && value < high && !used.contains(written(value))) {
                    return written(value);
                }
            }
        }
        return null;
    }

    private String lettered(String before) {
        Matcher parts = NUMBER.matcher(before);
        String stem = parts.matches() ? parts.group(1) + parts.group(2) : before;
        for (int i = 0; ; i++) {
            String letters = i < 26
                    ? String.valueOf((char) ('A' + i))
                    : String.valueOf((char) ('A' + i / 26 - 1)) + (char) ('A' + i % 26);
            if (!used.contains(stem + letters)) {
                return stem + letters;
            }
        }
    }

    private String written(int value) {
        String digits = Integer.toString(value);
        return numbers.prefix() + "0".repeat(Math.max(0, numbers.width() - digits.length())) + digits;
    }

    private static int value(String number) {
        Matcher parts = NUMBER.matcher(number);
        return parts.matches() ? Integer.parseInt(parts.group(2)) : 0;
    }
}
