package org.logophon.core.text.script;

import com.github.difflib.DiffUtils;
import com.github.difflib.algorithm.myers.MyersDiffWithLinearSpace;
import com.github.difflib.patch.AbstractDelta;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Two texts that were made from one, brought together paragraph by paragraph: what only one of them changed is taken
 * from it. Where both changed the same paragraph nobody but a person can tell what is meant.
 */
public final class ScriptMerge {

    private ScriptMerge() {}

    /** What became of some blocks. An insertion has none, {@code from == to}. */
    private record Change(int from, int to, List<String> blocks) {

        boolean inserts() {
            return from == to;
        }

        boolean touches(Change other) {
            if (inserts() && other.inserts()) {
                return from == other.from;
            }
            return inserts()
                    ? from > other.from && from < other.to
                    : other.inserts() ? other.from > from && other.from < to : from < other.to && other.from < to;
        }
    }

    /**
     * @param base   from which both were made
     * @param theirs what was saved meanwhile; of two insertions at one place theirs comes first
     * @param mine   what is to be saved now
     * @return both together; empty where both changed the same paragraph in different ways
     */
    public static Optional<String> of(String base, String theirs, String mine) {
        if (base.equals(theirs) || theirs.equals(mine)) {
            return Optional.of(mine);
        }
        if (base.equals(mine)) {
            return Optional.of(theirs);
        }
        if (base.isBlank()) {
            return Optional.empty();
        }
        List<String> blocks = blocks(base);
        List<Change> left = changes(blocks, blocks(theirs));
        List<Change> right = changes(blocks, blocks(mine));
        StringBuilder merged = new StringBuilder();
        int at = 0;
        int l = 0;
        int r = 0;
        while (l < left.size() || r < right.size()) {
            Change theirChange = l < left.size() ? left.get(l) : null;
            Change myChange = r < right.size() ? right.get(r) : null;
            Change next;
            if (theirChange != null && myChange != null && theirChange.equals(myChange)) {
                next = theirChange;
                l++;
                r++;
            } else if (theirChange != null
                    && myChange != null
                    && theirChange.touches(myChange)
                    && !(theirChange.inserts() && myChange.inserts())) {
                return Optional.empty();
            } else if (myChange == null || theirChange != null && before(theirChange, myChange)) {
                next = theirChange;
                l++;
            } else {
                next = myChange;
                r++;
            }
            if (next.from() < at) {
                return Optional.empty();
            }
            blocks.subList(at, next.from()).forEach(merged::append);
            next.blocks().forEach(merged::append);
            at = next.to();
        }
        blocks.subList(at, blocks.size()).forEach(merged::append);
        return Optional.of(merged.toString());
    }

    /** At one place an insertion goes before what becomes of the blocks there; of two insertions theirs. */
    private static boolean before(Change theirs, Change mine) {
        return theirs.from() != mine.from() ? theirs.from() < mine.from() : theirs.inserts() || !mine.inserts();
    }

    /** Paragraphs and the blank lines between them, in turns; all of them together are the text. */
    private static List<String> blocks(String text) {
        List<String> blocks = new ArrayList<>();
        int from = 0;
        int lastEnd = 0;
        boolean paragraph = false;
        for (int start = 0; start <= text.length(); ) {
            int end = text.indexOf('\n', start) < 0 ? text.length() : text.indexOf('\n', start);
            boolean words = !text.substring(start, end).isBlank();
            if (words != paragraph) {
                int border = words ? start : lastEnd;
                if (border > from) {
                    blocks.add(text.substring(from, border));
                }
                from = border;
                paragraph = words;
            }
            lastEnd = end;
            start = end + 1;
        }
        if (from < text.length()) {
            blocks.add(text.substring(from));
        }
        return blocks;
    }

    private static List<Change> changes(List<String> base, List<String> now) {
        List<Change> changes = new ArrayList<>();
        for (AbstractDelta<String> delta :
                DiffUtils.diff(base, now, new MyersDiffWithLinearSpace<>()).getDeltas()) {
            int from = delta.getSource().getPosition();
            int to = from + delta.getSource().size();
            Change last = changes.isEmpty() ? null : changes.get(changes.size() - 1);
            List<String> into = new ArrayList<>();
            if (last != null && last.to() == from) {
                // what went and what came in its place are told one after the other, and are one change
                changes.remove(changes.size() - 1);
                from = last.from();
                into.addAll(last.blocks());
            }
            into.addAll(delta.getTarget().getLines());
            changes.add(new Change(from, to, into));
        }
        return changes;
    }
}
