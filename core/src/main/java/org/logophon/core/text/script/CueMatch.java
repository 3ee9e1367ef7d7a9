package org.logophon.core.text.script;

import com.github.difflib.DiffUtils;
import com.github.difflib.algorithm.myers.MyersDiffWithLinearSpace;
import com.github.difflib.patch.AbstractDelta;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Matches the cues of a script before and after an edit, so that direction and takes stay with the words they belong
 * to: first the longest common subsequence of unchanged cues, then, between those anchors, the most alike by words,
 * then a cue that moved whole.
 */
public final class CueMatch {

    /** Two texts are the same cue rewritten when they share this much of their words (Dice coefficient). Ours. */
    static final double ALIKE = 0.4;
    /** Beyond this many cues only equal texts are matched, wherever they stand. */
    private static final long MOST_COMPARED = 30_000;
    /** A new cue comes out of an old one when that holds this share of its words. Ours. */
    private static final double HELD = 0.6;

    private CueMatch() {}

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

    /**
     * Unchanged cues in their order: the longest common subsequence, by Myers' algorithm. Its work grows with what
     * differs, so cues that the other side hasn't at all are left out of it.
     */
    private static void anchor(List<String> before, List<String> after, int[] matched, boolean[] used) {
        if ((long) before.size() + after.size() > MOST_COMPARED) {
            return;
        }
        int[] olds = also(before, after);
        int[] nows = also(after, before);
        int old = 0;
        int now = 0;
        for (AbstractDelta<String> delta : DiffUtils.diff(
                        texts(before, olds), texts(after, nows), new MyersDiffWithLinearSpace<String>())
                .getDeltas()) {
            while (old < delta.getSource().getPosition()) {
                take(matched, used, nows[now++], olds[old++]);
            }
            old += delta.getSource().size();
            now += delta.getTarget().size();
        }
        while (old < olds.length) {
            take(matched, used, nows[now++], olds[old++]);
        }
    }

    /** Places in a list of texts that another list has, too. */
    private static int[] also(List<String> texts, List<String> other) {
        Set<String> known = new HashSet<>(other);
        return IntStream.range(0, texts.size())
                .filter(i -> known.contains(texts.get(i)))
                .toArray();
    }

    private static List<String> texts(List<String> texts, int[] places) {
        return Arrays.stream(places).mapToObj(texts::get).toList();
    }

    private static void pairAlike(
            WordSets before, WordSets after, int[] matched, boolean[] used, int from, int to, int oldFrom, int oldTo) {
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

    /**
     * For each new cue that continues no old one, the old cue that its words were cut out of, or −1: a neighbour of its
     * that
     * held most of them. Elsewhere −1.
     */
    public static int[] origins(List<String> before, List<String> after, int[] matched) {
        WordSets old = new WordSets(before);
        WordSets now = new WordSets(after);
        int[] origins = new int[matched.length];
        Arrays.fill(origins, -1);
        for (int i = 0; i < matched.length; i++) {
            int left = i > 0 ? matched[i - 1] >= 0 ? matched[i - 1] : origins[i - 1] : -1;
            int right = -1;
            for (int j = i + 1; matched[i] < 0 && right < 0 && j < Math.min(matched.length, i + 20); j++) {
                right = matched[j];
            }
            for (int candidate : new int[] {left, right}) {
                if (matched[i] < 0
                        && origins[i] < 0
                        && candidate >= 0
                        && held(old.get(candidate), now.get(i)) >= HELD) {
                    origins[i] = candidate;
                }
            }
        }
        return origins;
    }

    private static double held(Set<String> old, Set<String> now) {
        return now.isEmpty() ? 0 : now.stream().filter(old::contains).count() / (double) now.size();
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
                sets.set(
                        cue,
                        Words.of(text).stream()
                                .map(w -> w.in(text).toLowerCase(Locale.ROOT))
                                .collect(Collectors.toSet()));
            }
            return sets.get(cue);
        }
    }
}
