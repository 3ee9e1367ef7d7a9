package org.logophon.core.text.normalization;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One pattern of writing and how it is said.
 *
 * @param group the part of the match that is the form: 0 for all of it
 * @param say   ways to say a match in its text, the most usual first; an empty list when the match is none after all
 * @param asks  true where several ways are as good as one another, and nothing in the text tells
 */
record Rule(
        FormKind kind, Pattern pattern, int group, BiFunction<MatchResult, String, List<String>> say, boolean asks) {

    static Rule of(FormKind kind, String pattern, Function<MatchResult, List<String>> say) {
        return ofGroup(kind, 0, pattern, say);
    }

    static Rule ofGroup(FormKind kind, int group, String pattern, Function<MatchResult, List<String>> say) {
        return new Rule(kind, Pattern.compile(pattern), group, (match, text) -> say.apply(match), false);
    }

    /** One that looks at the text around its match. */
    static Rule around(FormKind kind, String pattern, BiFunction<MatchResult, String, List<String>> say) {
        return new Rule(kind, Pattern.compile(pattern), 0, say, false);
    }

    /** The same, where it can't know which of several ways is meant. */
    Rule asking() {
        return new Rule(kind, pattern, group, say, true);
    }

    /** Adds what it finds, from any of its places on, in stretches that no rule before it has taken. */
    void find(String text, MatchStarts.Places places, int self, MatchedSpans taken) {
        if (places.count(self) == 0) {
            return;
        }
        Matcher matcher = pattern.matcher(text).useTransparentBounds(true).useAnchoringBounds(false);
        int free = 0;
        for (int i = 0; i < places.count(self); i++) {
            int at = places.at(self, i);
            if (at < free || !matcher.region(at, text.length()).lookingAt()) {
                continue;
            }
            free = Math.max(at + 1, matcher.end());
            int start = matcher.start(group);
            int end = matcher.end(group);
            if (end > start && taken.free(start, end)) {
                List<String> said = say.apply(matcher.toMatchResult(), text);
                if (!said.isEmpty()) {
                    WrittenForm form = new WrittenForm(start, end, kind, said);
                    boolean open = asks && form.said().size() > 1;
                    taken.add(open ? new WrittenForm(start, end, kind, said, Sureness.ASK) : form);
                }
            }
        }
    }
}
