package org.logophon.core.text.normalization;

import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Tells which rules are worth trying at which place of a text, by the character there and whether it stands inside a
 * word. Found
 * by trying each character alone: a pattern that a character doesn't stop wants to read on, and hits the end.
 */
final class MatchStarts {

    /** Beyond it any character may start a match of any rule. */
    private static final int TRIED = 0x100;
    /** What a rule may want to see before its match: nothing, a space, a sign; or a letter, a figure. */
    private static final String[] OUTSIDE = {"", "a ", "1 ", "a.", "(", "1,", "a-"};

    private static final String[] INSIDE = {"a", "A", "C", "1"};

    private final int rules;
    private final int[][] outside = new int[TRIED][];
    private final int[][] inside = new int[TRIED][];
    private final int[] all;

    MatchStarts(List<Pattern> patterns) {
        rules = patterns.size();
        all = java.util.stream.IntStream.range(0, rules).toArray();
        for (int c = 0; c < TRIED; c++) {
            char character = (char) c;
            outside[c] = Arrays.stream(all)
                    .filter(rule -> mayStart(patterns.get(rule), OUTSIDE, character))
                    .toArray();
            inside[c] = Arrays.stream(all)
                    .filter(rule -> mayStart(patterns.get(rule), INSIDE, character))
                    .toArray();
        }
    }

    private static boolean mayStart(Pattern pattern, String[] befores, char c) {
        for (String before : befores) {
            Matcher alone = pattern.matcher(before + c)
                    .region(before.length(), before.length() + 1)
                    .useTransparentBounds(true)
                    .useAnchoringBounds(false);
            if (alone.lookingAt() || alone.hitEnd()) {
                return true;
            }
        }
        return false;
    }

    /** For each rule the places of a text where a match may start, in order. */
    Places in(String text) {
        Places places = new Places(rules);
        boolean inWord = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            for (int rule : c >= TRIED ? all : inWord ? inside[c] : outside[c]) {
                places.add(rule, i);
            }
            inWord = Character.isLetterOrDigit(c);
        }
        return places;
    }

    /** Growing lists of places, one a rule. */
    static final class Places {

        private final int[][] places;
        private final int[] counts;

        Places(int rules) {
            places = new int[rules][];
            counts = new int[rules];
        }

        private void add(int rule, int place) {
            int[] known = places[rule];
            if (known == null) {
                known = new int[16];
            } else if (counts[rule] == known.length) {
                known = Arrays.copyOf(known, 2 * known.length);
            }
            known[counts[rule]++] = place;
            places[rule] = known;
        }

        int count(int rule) {
            return counts[rule];
        }

        int at(int rule, int index) {
            return places[rule][index];
        }
    }
}
