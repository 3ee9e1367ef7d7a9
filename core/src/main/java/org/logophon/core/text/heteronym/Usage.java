package org.logophon.core.text.heteronym;

import java.util.Set;

/** How a word is used in its sentence, where its part of speech doesn't tell. */
final class Usage {

    private static final Set<String> PERFECT = Set.of(
            "have", "has", "had", "having", "was", "were", "been", "being", "is", "are", "be", "'ve", "’ve", "got");
    private static final Set<String> PRESENT = Set.of(
            "to", "will", "would", "can", "could", "should", "shall", "may", "might", "must", "do", "does", "did",
            "n't", "let", "please", "'ll", "’ll", "always", "often", "usually", "never");
    private static final Set<String> PAST_TIMES =
            Set.of("yesterday", "ago", "last", "once", "earlier", "then", "twice");
    private static final Set<String> NOW =
            Set.of("always", "often", "usually", "now", "today", "tomorrow", "morning", "mornings");
    private static final Set<String> SINGULAR = Set.of("he", "she", "it", "nobody", "somebody", "everybody");
    private static final Set<String> PAST_VERBS = Set.of(
            "was", "were", "had", "did", "said", "wrote", "came", "went", "saw", "took", "lit", "heard", "gave", "made",
            "found", "told", "knew", "thought", "left", "kept", "sat", "stood", "began", "ran", "put", "held",
            "brought");
    private static final Set<String> PLURALS = Set.of("people", "children", "men", "women", "folk", "crew");
    private static final Set<String> METAL_AFTER = Set.of("of", "with", "in", "from", "as", "molten", "heavy", "sheet");

    private static final Set<String> CLOSE_TO = Set.of("to", "by", "behind", "together", "enough", "up");
    private static final Set<String> COPULAS =
            Set.of("am", "is", "are", "was", "were", "be", "been", "being", "’m", "'m", "’re", "'re", "get", "got");
    /** What a clock's minute stands before. */
    private static final Set<String> OF_A_CLOCK = Set.of("hand", "hands", "book", "walk", "drive", "silence", "mark");

    private Usage() {}

    /** @param tag one of ours, which the tagger doesn't know; false for any other */
    static boolean is(String tag, Sentence sentence, int at) {
        return switch (tag) {
            case "PAST" -> past(sentence, at);
            case "METAL" ->
                METAL_AFTER.contains(sentence.lower(at - 1))
                        && !sentence.tag(at).equals("VERB");
            case "HABIT" -> habit(sentence, at);
            case "POLAND" -> poland(sentence, at);
            case "CLOSE_TO" ->
                CLOSE_TO.contains(sentence.lower(at + 1)) && !Boolean.TRUE.equals(Clause.isVerb(sentence.words(), at));
            case "TINY" -> tiny(sentence, at);
            default -> false;
        };
    }

    /** Whether a finite verb follows, other than one that only helps. */
    static boolean verbFollows(Sentence sentence, int at) {
        String after = sentence.lower(at + 1);
        return sentence.tag(at + 1).equals("VERB")
                && (after.endsWith("s") || after.endsWith("ed") || PAST_VERBS.contains(after));
    }

    static boolean anyNear(Set<String> wanted, Sentence sentence, int at, int reach) {
        for (int i = at - reach; i <= at + reach; i++) {
            if (i != at && wanted.contains(sentence.lower(i))) {
                return true;
            }
        }
        return false;
    }

    /** "Had read", "he read", "we read it yesterday", "read until two, and heard nothing". */
    private static boolean past(Sentence sentence, int at) {
        int helper = at - 1;
        while (sentence.tag(helper).equals("ADV")) {
            helper--;
        }
        if (PERFECT.contains(sentence.lower(helper))) {
            return true;
        }
        int before = PRESENT.contains(sentence.lower(at - 1)) ? at - 1 : helper;
        String near = sentence.lower(before);
        if (PRESENT.contains(near) || anyNear(NOW, sentence, at, sentence.length())) {
            return false;
        }
        boolean singular = SINGULAR.contains(near)
                || Set.of("NOUN", "PROPN").contains(sentence.tag(before))
                        && !near.endsWith("s")
                        && !PLURALS.contains(near);
        if (singular || anyNear(PAST_TIMES, sentence, at, sentence.length())) {
            return true;
        }
        for (int i = 0; i < sentence.length(); i++) {
            String word = sentence.lower(i);
            boolean verb = Set.of("VERB", "AUX").contains(sentence.tag(i));
            if (i != at && verb && (PAST_VERBS.contains(word) || word.length() > 4 && word.endsWith("ed"))) {
                return true;
            }
        }
        return false;
    }

    /** "Used to walk", "are used to the cold"; not "was used to make sails". */
    private static boolean habit(Sentence sentence, int at) {
        boolean passive = COPULAS.contains(sentence.lower(at - 1));
        return sentence.lower(at + 1).equals("to")
                && !sentence.lower(at + 2).isEmpty()
                && passive != sentence.tag(at + 2).equals("VERB");
    }

    private static boolean poland(Sentence sentence, int at) {
        boolean capital = Character.isUpperCase(sentence.word(at).codePointAt(0));
        return capital
                && (at > 0
                        || sentence.tag(at + 1).equals("NOUN")
                                && !sentence.tag(at).equals("VERB"));
    }

    /** "Only a minute crack", "even minute cracks", "the parts are minute". */
    private static boolean tiny(Sentence sentence, int at) {
        String after = sentence.lower(at + 1);
        boolean noun = sentence.tag(at + 1).equals("NOUN") && !OF_A_CLOCK.contains(after);
        boolean article = Set.of("a", "the", "only", "some", "these", "every").contains(sentence.lower(at - 1));
        return noun && (article || after.endsWith("s")) || COPULAS.contains(sentence.lower(at - 1));
    }
}
