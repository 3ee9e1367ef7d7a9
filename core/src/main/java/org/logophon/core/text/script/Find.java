package org.logophon.core.text.script;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import com.google.re2j.PatternSyntaxException;
import java.util.ArrayList;
import java.util.List;
import org.logophon.core.input.InvalidInput;

/**
 * A find-and-replace. Regular expressions run on RE2/J, whose time grows with the length of the text and not with the
 * cleverness
 * of the pattern; so no pattern can run away.
 */
public final class Find {

    public static final int LONGEST = 500;
    /** Characters of what would stand at a place. */
    private static final int SHOWN = 200;

    private final Pattern pattern;
    private final boolean wholeWord;
    private final boolean expression;

    private Find(Pattern pattern, boolean wholeWord, boolean expression) {
        this.pattern = pattern;
        this.wholeWord = wholeWord;
        this.expression = expression;
    }

    /** A place that matches, with what would stand there instead, shortened where it is long. */
    public record Hit(int start, int end, String instead) {}

    /** @throws InvalidInput with a sentence when there is nothing to look for, or the expression is none */
    public static Find of(String what, boolean wholeWord, boolean matchCase, boolean expression) {
        if (what.isEmpty() || what.length() > LONGEST) {
            throw new InvalidInput("Type what to look for, " + LONGEST + " characters at most.");
        }
        try {
            int flags = Pattern.MULTILINE | (matchCase ? 0 : Pattern.CASE_INSENSITIVE);
            return new Find(Pattern.compile(expression ? what : Pattern.quote(what), flags), wholeWord, expression);
        } catch (PatternSyntaxException bad) {
            throw new InvalidInput("This regular expression can't be read: " + bad.getDescription()
                    + ". Back-references and look-around aren't known.");
        }
    }

    /** How many places match. */
    public int count(String text) {
        int count = 0;
        for (Matcher matcher = pattern.matcher(text); next(matcher, text); ) {
            count++;
        }
        return count;
    }

    /**
     * The first places that match.
     *
     * @param with what to write instead; {@code $1} stands for a group of an expression
     * @param most places at most
     */
    public List<Hit> hits(String text, String with, int most) {
        check(with);
        List<Hit> hits = new ArrayList<>();
        Matcher matcher = pattern.matcher(text);
        while (hits.size() < most && next(matcher, text)) {
            StringBuilder instead = new StringBuilder();
            boolean whole = fill(instead, matcher, with, SHOWN);
            instead.setLength(Math.min(SHOWN, instead.length()));
            hits.add(new Hit(matcher.start(), matcher.end(), whole ? instead.toString() : instead + "…"));
        }
        return hits;
    }

    /** @throws InvalidInput with a sentence when the text would become longer than a script can be */
    public String replace(String text, String with) {
        check(with);
        StringBuilder replaced = new StringBuilder(text.length());
        int from = 0;
        boolean fits = true;
        for (Matcher matcher = pattern.matcher(text); fits && next(matcher, text); ) {
            replaced.append(text, from, matcher.start());
            fits = fill(replaced, matcher, with, Script.MOST_CHARACTERS);
            from = matcher.end();
        }
        replaced.append(text, from, text.length());
        if (!fits || replaced.length() > Script.MOST_CHARACTERS) {
            throw new InvalidInput("With that everywhere the text would have over %,d characters. Nothing was replaced."
                    .formatted(Script.MOST_CHARACTERS));
        }
        return replaced.toString();
    }

    private static void check(String with) {
        if (with.length() > LONGEST) {
            throw new InvalidInput("The replacement has " + LONGEST + " characters at most.");
        }
    }

    private boolean next(Matcher matcher, String text) {
        while (matcher.find()) {
            if (matcher.end() > matcher.start()
                    && (!wholeWord || !inside(text, matcher.start()) && !inside(text, matcher.end()))) {
                return true;
            }
        }
        return false;
    }

    /** @return false when that is longer than {@code most} altogether: then it is left unfinished */
    private boolean fill(StringBuilder into, Matcher matcher, String with, int most) {
        if (!expression) {
            into.append(with);
            return into.length() <= most;
        }
        for (int i = 0; i < with.length() && into.length() <= most; i++) {
            char c = with.charAt(i);
            boolean group = c == '$'
                    && i + 1 < with.length()
                    && Character.isDigit(with.charAt(i + 1))
                    && with.charAt(i + 1) - '0' <= matcher.groupCount();
            if (group) {
                String found = matcher.group(with.charAt(++i) - '0');
                into.append(found == null ? "" : found);
            } else {
                into.append(c);
            }
        }
        return into.length() <= most;
    }

    private static boolean inside(String text, int at) {
        return at > 0
                && at < text.length()
                && Character.isLetterOrDigit(text.codePointBefore(at))
                && Character.isLetterOrDigit(text.codePointAt(at));
    }
}
