package org.logophon.core.text.script;

import com.github.difflib.DiffUtils;
import com.github.difflib.algorithm.myers.MyersDiffWithLinearSpace;
import com.github.difflib.patch.AbstractDelta;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The difference of two texts, word by word (Myers' difference algorithm, by java-diff-utils): to show it, and to
 * find where
 * a place of the old text is in the new one.
 */
public final class TextDiff {

    private static final Pattern TOKEN =
            Pattern.compile("[\\p{L}\\p{M}\\p{N}]+|\\n|[^\\S\\n]+|[^\\s\\p{L}\\p{M}\\p{N}]");
    /** A line this long that turns up elsewhere has moved. */
    private static final int FEWEST_MOVED = 12;

    /** Beyond this many words that differ, lines are compared. */
    private static final int MOST_WORDS = 8_000;
    /** Beyond this many lines nothing is compared: it is another text. */
    private static final int MOST_LINES = 20_000;

    private static final Pattern LINE = Pattern.compile("\\n|[^\\n]+");

    /** A stretch of one of the two texts. */
    public record Segment(Kind kind, String text) {}

    /** What happened to a stretch. */
    public enum Kind {
        SAME,
        GONE,
        NEW
    }

    private record Token(String text, int start) {

        int end() {
            return start + text.length();
        }
    }

    /** Tokens from one index to another that became others. */
    private record Hunk(int old, int oldEnd, int now, int nowEnd) {}

    private final String before;
    private final String after;
    private final List<Token> old = new ArrayList<>();
    private final List<Token> now = new ArrayList<>();
    private final List<Hunk> hunks = new ArrayList<>();

    /** For each old token the index of the new one that it is or was replaced by, −1 when it is gone. */
    private final int[] becomes;

    /** For each old token whether the new one has the same text. */
    private final boolean[] same;

    private final int head;
    private final int tail;

    private TextDiff(String before, String after) {
        this.before = before;
        this.after = after;
        int start = common(before, after);
        head = lineStart(before, start);
        tail = commonEnd(before, after, head);
        List<Token> oldLines = tokens(before, head, before.length() - tail, LINE);
        List<Token> newLines = tokens(after, head, after.length() - tail, LINE);
        int oldLine = 0;
        int newLine = 0;
        for (Hunk hunk : hunks(oldLines, newLines)) {
            old.addAll(oldLines.subList(oldLine, hunk.old()));
            now.addAll(newLines.subList(newLine, hunk.now()));
            addWords(oldLines.subList(hunk.old(), hunk.oldEnd()), newLines.subList(hunk.now(), hunk.nowEnd()));
            oldLine = hunk.oldEnd();
            newLine = hunk.nowEnd();
        }
        old.addAll(oldLines.subList(oldLine, oldLines.size()));
        now.addAll(newLines.subList(newLine, newLines.size()));
        becomes = new int[old.size()];
        same = new boolean[old.size()];
        compare();
        moved();
    }

    public static TextDiff of(String before, String after) {
        return new TextDiff(before, after);
    }

    /**
     * Where a place of the old text is now: at the same word, or at the word that replaced it; −1 when the text around
     * it is gone.
     */
    public int moved(int place) {
        return place == head ? place : movedWord(place);
    }

    /** The same for the start of a word, which goes along when something is written before it. */
    public int movedWord(int place) {
        if (place < head) {
            return place;
        }
        if (place >= before.length() - tail) {
            return place + after.length() - before.length();
        }
        for (int i = 0; i < old.size(); i++) {
            Token token = old.get(i);
            if (place < token.end()) {
                return becomes[i] < 0 ? -1 : now.get(becomes[i]).start() + (same[i] ? place - token.start() : 0);
            }
        }
        return -1;
    }

    /** Both texts in one, stretch by stretch. */
    public List<Segment> pieces() {
        List<Segment> pieces = new ArrayList<>();
        add(pieces, Kind.SAME, before.substring(0, head));
        List<String> left = texts(old);
        int at = 0;
        List<String> right = texts(now);
        for (Hunk hunk : hunks) {
            add(pieces, Kind.SAME, String.join("", left.subList(at, hunk.old())));
            add(pieces, Kind.GONE, String.join("", left.subList(hunk.old(), hunk.oldEnd())));
            add(pieces, Kind.NEW, String.join("", right.subList(hunk.now(), hunk.nowEnd())));
            at = hunk.oldEnd();
        }
        add(pieces, Kind.SAME, String.join("", left.subList(at, left.size())));
        add(pieces, Kind.SAME, before.substring(before.length() - tail));
        return pieces;
    }

    private static void add(List<Segment> pieces, Kind kind, String text) {
        if (!text.isEmpty()) {
            Segment last = pieces.isEmpty() ? null : pieces.get(pieces.size() - 1);
            if (last != null && last.kind() == kind) {
                pieces.set(pieces.size() - 1, new Segment(kind, last.text() + text));
            } else {
                pieces.add(new Segment(kind, text));
            }
        }
    }

    /** Words of lines that differ; lines whole when there are too many of them. */
    private void addWords(List<Token> oldLines, List<Token> newLines) {
        List<Token> oldWords = words(before, oldLines);
        List<Token> newWords = words(after, newLines);
        boolean many = oldWords.size() + newWords.size() > MOST_WORDS;
        List<Token> left = many ? oldLines : oldWords;
        List<Token> right = many ? newLines : newWords;
        for (Hunk hunk : many ? List.of(new Hunk(0, left.size(), 0, right.size())) : hunks(left, right)) {
            hunks.add(new Hunk(
                    old.size() + hunk.old(),
                    old.size() + hunk.oldEnd(),
                    now.size() + hunk.now(),
                    now.size() + hunk.nowEnd()));
        }
        old.addAll(left);
        now.addAll(right);
    }

    private static List<Token> words(String text, List<Token> lines) {
        return lines.isEmpty()
                ? List.of()
                : tokens(text, lines.get(0).start(), lines.get(lines.size() - 1).end(), TOKEN);
    }

    private static List<Hunk> hunks(List<Token> left, List<Token> right) {
        if (left.size() + right.size() > MOST_LINES) {
            return List.of(new Hunk(0, left.size(), 0, right.size()));
        }
        List<Hunk> hunks = new ArrayList<>();
        for (AbstractDelta<String> delta : DiffUtils.diff(
                        texts(left), texts(right), new MyersDiffWithLinearSpace<String>())
                .getDeltas()) {
            Hunk next = new Hunk(
                    delta.getSource().getPosition(),
                    delta.getSource().getPosition() + delta.getSource().size(),
                    delta.getTarget().getPosition(),
                    delta.getTarget().getPosition() + delta.getTarget().size());
            Hunk last = hunks.isEmpty() ? null : hunks.get(hunks.size() - 1);
            if (last != null && last.oldEnd() == next.old() && last.nowEnd() == next.now()) {
                hunks.set(hunks.size() - 1, new Hunk(last.old(), next.oldEnd(), last.now(), next.nowEnd()));
            } else {
                hunks.add(next);
            }
        }
        return hunks;
    }

    private void compare() {
        int oldAt = 0;
        int newAt = 0;
        for (Hunk hunk : hunks) {
            while (oldAt < hunk.old()) {
                same[oldAt] = true;
                becomes[oldAt++] = newAt++;
            }
            int size = hunk.nowEnd() - hunk.now();
            for (int i = 0; oldAt < hunk.oldEnd(); i++) {
                // what was rewritten goes to its replacement; what was taken out, to what follows it
                becomes[oldAt++] =
                        size > 0 ? hunk.now() + Math.min(i, size - 1) : hunk.now() < now.size() ? hunk.now() : -1;
            }
            newAt = hunk.nowEnd();
        }
        while (oldAt < old.size()) {
            same[oldAt] = true;
            becomes[oldAt++] = newAt++;
        }
    }

    /** Lines that were taken out here and stand there: their places go with them. */
    private void moved() {
        Map<String, Integer> fresh = new HashMap<>();
        boolean[] kept = new boolean[now.size()];
        for (int i = 0; i < old.size(); i++) {
            if (same[i]) {
                kept[becomes[i]] = true;
            }
        }
        forEachLine(now, (from, to, line) -> {
            boolean all = true;
            for (int i = from; i < to; i++) {
                all &= !kept[i];
            }
            if (all) {
                fresh.putIfAbsent(line, from);
            }
        });
        forEachLine(old, (from, to, line) -> {
            Integer target = fresh.get(line);
            if (target != null && line.length() >= FEWEST_MOVED && !same[from]) {
                for (int i = from; i < to; i++) {
                    same[i] = true;
                    becomes[i] = target + i - from;
                }
            }
        });
    }

    private interface LineOfTokens {
        void read(int from, int to, String line);
    }

    private static void forEachLine(List<Token> tokens, LineOfTokens reader) {
        int from = 0;
        StringBuilder line = new StringBuilder();
        for (int i = 0; i <= tokens.size(); i++) {
            if (i == tokens.size() || tokens.get(i).text().equals("\n")) {
                if (i > from) {
                    reader.read(from, i, line.toString());
                }
                from = i + 1;
                line.setLength(0);
            } else {
                line.append(tokens.get(i).text());
            }
        }
    }

    private static int common(String a, String b) {
        int shortest = Math.min(a.length(), b.length());
        int i = 0;
        while (i < shortest && a.charAt(i) == b.charAt(i)) {
            i++;
        }
        return i;
    }

    /** Back to the start of the line that differs: lines are compared whole. */
    private static int lineStart(String text, int at) {
        return text.lastIndexOf('\n', at - 1) + 1;
    }

    /** Whole lines that both texts end with. */
    private static int commonEnd(String a, String b, int head) {
        int most = Math.min(a.length(), b.length()) - head;
        int i = 0;
        int whole = 0;
        while (i < most && a.charAt(a.length() - 1 - i) == b.charAt(b.length() - 1 - i)) {
            if (a.charAt(a.length() - 1 - i) == '\n') {
                whole = i;
            }
            i++;
        }
        return whole;
    }

    private static List<Token> tokens(String text, int from, int to, Pattern pattern) {
        List<Token> tokens = new ArrayList<>();
        Matcher matcher = pattern.matcher(text).region(from, to);
        while (matcher.find()) {
            tokens.add(new Token(matcher.group(), matcher.start()));
        }
        return tokens;
    }

    private static List<String> texts(List<Token> tokens) {
        return tokens.stream().map(Token::text).toList();
    }
}
