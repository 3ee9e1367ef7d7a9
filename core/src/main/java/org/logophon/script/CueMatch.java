package org.logophon.script;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Matches the cues of a script before and after an edit, so that direction and takes stay with the words they belong
 * to: first the longest common subsequence of unchanged cues, then, between those anchors, the most alike by words,
 * then a cue that moved whole.
 */
public final class CueMatch {

    /** Two texts are the same cue rewritten when they share this much of their words (Dice coefficient). Ours. */
    static final double ALIKE = 0.4;
    /** Beyond this many pairs the anchors are looked for by equal text alone, in order. */
    private static final long MOST_PAIRS = 16_000_000;

    private CueMatch() {
    }

    /** For each new cue the index of the old cue that it continues, or −1 for a new one. No old cue is used twice. */
    public static int[] match(List<String> before, List<String> after) {
        int[] matched = new int[after.size()];
        Arrays.fill(matched, -1);
        boolean[] used = new boolean[before.size()];
        anchor(before, after, matched, used);
        WordSets old = new WordSets(before);
        WordSets now = new WordSets(after);
        int gapStart = 0;
        int oldStart = 0;
        for (int i = 0; i <= after.size(); i++) {
            if (i == after.size() || matched[i] >= 0) {
                int oldEnd = i == after.size() ? before.size() : matched[i];
                pairAlike(old, now, matched, used, gapStart, i, oldStart, oldEnd);
                gapStart = i + 1;
                oldStart = oldEnd + 1;
            }
        }
        moved(before, after, matched, used);
        return matched;
    }

    private static void anchor(List<String> before, List<String> after, int[] matched, boolean[] used) {
        int head = 0;
        int shortest = Math.min(before.size(), after.size());
        while (head < shortest && before.get(head).equals(after.get(head))) {
            take(matched, used, head, head);
            head++;
        }
        int tail = 0;
        while (tail < shortest - head
                && before.get(before.size() - 1 - tail).equals(after.get(after.size() - 1 - tail))) {
            take(matched, used, after.size() - 1 - tail, before.size() - 1 - tail);
            tail++;
        }
        int rows = before.size() - head - tail;
        int columns = after.size() - head - tail;
        if (rows == 0 || columns == 0 || (long) rows * columns > MOST_PAIRS) {
            return;
        }
        int[][] longest = new int[rows + 1][columns + 1];
        for (int i = rows - 1; i >= 0; i--) {
            for (int j = columns - 1; j >= 0; j--) {
                longest[i][j] = before.get(head + i).equals(after.get(head + j)) ? longest[i + 1][j + 1] + 1
                        : Math.max(longest[i + 1][j], longest[i][j + 1]);
            }
        }
        for (int i = 0, j = 0; i < rows && j < columns; ) {
            if (before.get(head + i).equals(after.get(head + j))) {
                take(matched, used, head + j++, head + i++);
            } else if (longest[i + 1][j] >= longest[i][j + 1]) {
                i++;
            } else {
                j++;
            }
        }
    }

    private static void pairAlike(WordSets before, WordSets after, int[] matched, boolean[] used,
                                  int from, int to, int oldFrom, int oldTo) {
        int next = oldFrom;
        for (int i = from; i < to && next < oldTo; i++) {
            int best = -1;
            double bestAlike = ALIKE;
            for (int j = next; j < Math.min(oldTo, next + 50); j++) {
                double alike = alike(before.get(j), after.get(i));
                if (!used[j] && alike >= bestAlike && (best < 0 || alike > bestAlike)) {
                    best = j;
                    bestAlike = alike;
                }
            }
            if (best >= 0) {
                take(matched, used, i, best);
                next = best + 1;
            }
        }
    }

    private static void moved(List<String> before, List<String> after, int[] matched, boolean[] used) {
        Map<String, Deque<Integer>> left = new HashMap<>();
        for (int j = 0; j < before.size(); j++) {
            if (!used[j]) {
                left.computeIfAbsent(before.get(j), text -> new ArrayDeque<>()).add(j);
            }
        }
        for (int i = 0; i < after.size(); i++) {
            Deque<Integer> same = matched[i] < 0 ? left.get(after.get(i)) : null;
            if (same != null && !same.isEmpty()) {
                take(matched, used, i, same.remove());
            }
        }
    }

    private static void take(int[] matched, boolean[] used, int now, int old) {
        matched[now] = old;
        used[old] = true;
    }

    private static double alike(Set<String> a, Set<String> b) {
        long shared = a.stream().filter(b::contains).count();
        return a.isEmpty() || b.isEmpty() ? 0 : 2.0 * shared / (a.size() + b.size());
    }

    /** The words of each cue, found when first asked for: most cues of an edit are matched by their whole text. */
    private static final class WordSets {

        private final List<String> texts;
        private final List<Set<String>> sets;

        WordSets(List<String> texts) {
            this.texts = texts;
            this.sets = new ArrayList<>(Collections.nCopies(texts.size(), null));
        }

        Set<String> get(int cue) {
            if (sets.get(cue) == null) {
                String text = texts.get(cue);
                sets.set(cue, Words.of(text).stream().map(w -> w.in(text).toLowerCase(Locale.ROOT)).collect(Collectors.toSet()));
            }
            return sets.get(cue);
        }
    }
}
