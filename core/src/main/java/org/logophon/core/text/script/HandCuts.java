package org.logophon.core.text.script;

import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.IntUnaryOperator;

/**
 * Cuts made by hand, by the place in the source of the word that a cue starts with.
 *
 * @param splits a cue starts here though the way of splitting has none
 * @param joins  no cue starts here though the way of splitting has one
 */
public record HandCuts(SortedSet<Integer> splits, SortedSet<Integer> joins) {

    public static final HandCuts NONE = new HandCuts(new TreeSet<>(), new TreeSet<>());

    public HandCuts {
        splits = java.util.Collections.unmodifiableSortedSet(new TreeSet<>(splits));
        joins = java.util.Collections.unmodifiableSortedSet(new TreeSet<>(joins));
    }

    public boolean isEmpty() {
        return splits.isEmpty() && joins.isEmpty();
    }

    /** Splitting where a join was made takes the join back, and the other way round. */
    public HandCuts split(int place) {
        return changed(place, joins, splits, false);
    }

    public HandCuts join(int place) {
        return changed(place, splits, joins, true);
    }

    private static HandCuts changed(int place, SortedSet<Integer> undone, SortedSet<Integer> done, boolean join) {
        TreeSet<Integer> less = new TreeSet<>(undone);
        TreeSet<Integer> more = new TreeSet<>(done);
        if (!less.remove(place)) {
            more.add(place);
        }
        return join ? new HandCuts(less, more) : new HandCuts(more, less);
    }

    /** After an edit. @param move old place to new place, or −1 for one that is gone */
    public HandCuts moved(IntUnaryOperator move) {
        return new HandCuts(moved(splits, move), moved(joins, move));
    }

    private static SortedSet<Integer> moved(SortedSet<Integer> places, IntUnaryOperator move) {
        TreeSet<Integer> moved = new TreeSet<>();
        places.forEach(place -> {
            int now = move.applyAsInt(place);
            if (now >= 0) {
                moved.add(now);
            }
        });
        return moved;
    }
}
