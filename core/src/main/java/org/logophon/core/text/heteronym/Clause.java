package org.logophon.core.text.heteronym;

import java.util.List;
import java.util.Locale;
import java.util.Set;

/** A word among its neighbours: whether they alone tell that it is a verb, or that it is none. */
final class Clause {

    private static final Set<String> BEFORE_VERBS = Set.of(
            "to",
            "will",
            "would",
            "can",
            "could",
            "should",
            "shall",
            "may",
            "might",
            "must",
            "do",
            "does",
            "did",
            "n't",
            "let",
            "please",
            "'ll",
            "’ll",
            "'d",
            "’d",
            "i",
            "you",
            "we",
            "they",
            "he",
            "she",
            "who",
            "nobody",
            "somebody",
            "everybody",
            "always",
            "often",
            "usually",
            "never",
            "cannot");
    private static final Set<String> BEFORE_OTHERS = Set.of(
            "the", "a", "an", "my", "your", "his", "its", "our", "their", "this", "these", "those", "no", "any", "some",
            "every", "each", "another", "many", "several", "few", "of", "one", "two", "three", "ten", "eleven", "whose",
            "for", "with", "without", "under", "main", "last", "good", "new", "fresh", "local", "later", "future",
            "further", "daily");
    private static final Set<String> OBJECTS = Set.of(
            "the", "a", "an", "my", "your", "his", "her", "its", "our", "their", "this", "these", "every", "each", "it",
            "them", "me", "us", "him", "both", "all", "two", "three", "four", "five", "ten", "forty", "fifty");
    private static final Set<String> PARTICLES = Set.of(
            "off", "out", "up", "down", "around", "along", "away", "through", "onto", "into", "at", "alone", "above",
            "over", "back", "in", "on", "near", "here", "there", "under", "for", "from");
    private static final Set<String> DETERMINERS =
            Set.of("the", "a", "an", "his", "her", "our", "their", "this", "my", "your", "every", "each");
    private static final Set<String> COPULAS = Set.of("is", "are", "was", "were", "be", "been", "being");
    /** What a sentence begins with to ask for it: "Use tape." */
    private static final Set<String> IMPERATIVES =
            Set.of("use", "excuse", "separate", "resume", "estimate", "refuse", "duplicate", "tear", "polish");

    private static final Set<String> NO_OBJECTS = Set.of("of", "is", "was", "are", "were", "has", "to", "by", "");
    /** Forms that are a verb's past and a noun. */
    private static final Set<String> PAST = Set.of("wound", "dove");

    private static final Set<String> FINITE = Set.of("is", "was", "are", "were", "has", "had", "will", "can", "must");

    private Clause() {}

    /** Whether it is a verb; null where that takes more than its neighbours. */
    static Boolean isVerb(List<String> words, int at) {
        String word = lower(words, at);
        String before = lower(words, at - 1);
        String after = lower(words, at + 1);
        if (BEFORE_VERBS.contains(before)) {
            return !FINITE.contains(after) || before.equals("to");
        }
        if (BEFORE_OTHERS.contains(before)) {
            return false;
        }
        boolean past = PAST.contains(word);
        if (COPULAS.contains(before) && !past) {
            return false;
        }
        boolean opens = OBJECTS.contains(after) || PARTICLES.contains(after);
        if (before.isEmpty() && (opens || IMPERATIVES.contains(word) && !NO_OBJECTS.contains(after))) {
            return true;
        }
        if (FINITE.contains(after)) {
            return false;
        }
        // "scientists estimate": a plural, and a verb that goes with it
        boolean plural = before.length() > 3 && before.matches(".*[^su]s");
        if (plural && !word.endsWith("s") && !past) {
            return true;
        }
        // "the keeper lives alone", "the road wound down": a noun, and what follows a verb
        boolean noun = before.length() > 2 && !plural && (word.endsWith("s") || past);
        return noun && opens && DETERMINERS.contains(lower(words, at - 2)) ? true : null;
    }

    /** Empty outside of the sentence, and for its signs. */
    private static String lower(List<String> words, int at) {
        if (at < 0 || at >= words.size()) {
            return "";
        }
        String word = words.get(at).toLowerCase(Locale.ROOT);
        return Character.isLetter(word.charAt(0)) || word.length() > 1 ? word : "";
    }
}
