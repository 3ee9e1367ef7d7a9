package org.logophon.core.script;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import com.google.re2j.PatternSyntaxException;
import java.util.ArrayList;
import java.util.List;
import org.logophon.core.input.InvalidInput;

/**
 * Finds and replaces. Regular expressions run on RE2/J, whose time grows with the length of the text and not with the
 * cleverness
 * of the pattern; so no pattern can run away.
 */
public final class Find {

    private static final int LONGEST = 500;

    private final Pattern pattern;
    private final boolean wholeWord;
    private final boolean expression;

    private Find(Pattern pattern, boolean wholeWord, boolean expression) {
        this.pattern = pattern;
        this.wholeWord = wholeWord;
        this.expression = expression;
    }

    /** A place that matches, with what would stand there instead. */
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

    /** @param with what to write instead; {@code $1} stands for a group of an expression */
    public List<Hit> hits(String text, String with) {
        List<Hit> hits = new ArrayList<>();
        Matcher matcher = pattern.matcher(text);
        while (matcher.find()) {
            if (matcher.end() > matcher.start()
                    && (!wholeWord || !inside(text, matcher.start()) && !inside(text, matcher.end()))) {
                hits.add(new Hit(matcher.start(), matcher.end(), expression ? filled(matcher, with) : with));
            }
        }
        return hits;
    }

    public String replace(String text, String with) {
        StringBuilder replaced = new StringBuilder(text.length());
        int from = 0;
        for (Hit hit : hits(text, with)) {
            replaced.append(text, from, hit.start()).append(hit.instead());
            from = hit.end();
        }
        return replaced.append(text, from, text.length()).toString();
    }

    private static String filled(Matcher matcher, String with) {
        StringBuilder filled = new StringBuilder();
        for (int i = 0; i < with.length(); i++) {
            char c = with.charAt(i);
            boolean group = c == '$'
                    && i + 1 < with.length()
                    && Character.isDigit(with.charAt(i + 1))
                    && with.charAt(i + 1) - '0' <= matcher.groupCount();
            if (group) {
                String found = matcher.group(with.charAt(++i) - '0');
                filled.append(found == null ? "" : found);
            } else {
                filled.append(c);
            }
        }
        return filled.toString();
    }

    private static boolean inside(String text, int at) {
        return at > 0
                && at < text.length()
                && Character.isLetterOrDigit(text.codePointBefore(at))
                && Character.isLetterOrDigit(text.codePointAt(at));
    }
}
