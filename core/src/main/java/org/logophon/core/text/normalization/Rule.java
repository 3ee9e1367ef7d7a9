package org.logophon.core.text.normalization;

import java.util.List;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One pattern of writing and how it is said.
 *
 * @param group the part of the match that is the form: 0 for all of it
 * @param say   ways to say a match, the most usual first; an empty list when the match is none after all
 */
record Rule(FormKind kind, Pattern pattern, int group, Function<MatchResult, List<String>> say) {

    static Rule of(FormKind kind, String pattern, Function<MatchResult, List<String>> say) {
        return ofGroup(kind, 0, pattern, say);
    }

    static Rule ofGroup(FormKind kind, int group, String pattern, Function<MatchResult, List<String>> say) {
        return new Rule(kind, Pattern.compile(pattern), group, say);
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
                List<String> said = say.apply(matcher.toMatchResult());
                if (!said.isEmpty()) {
                    taken.add(new WrittenForm(start, end, kind, said));
                }
            }
        }
    }
}
