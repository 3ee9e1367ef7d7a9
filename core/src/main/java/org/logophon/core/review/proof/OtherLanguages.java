package org.logophon.core.review.proof;

import com.ibm.icu.util.ULocale;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.logophon.core.review.proof.Suggestion.Act;
import org.logophon.core.text.dictionary.Dictionary;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.Voice;

/** Cues in another language than their voice's. */
final class OtherLanguages implements Check {

    private static final int FEWEST_LETTERS = 12;
    private static final int MOST_VOICES = 3;
    /** An English text has at least this share of its words in the dictionary: no guess is needed. Ours. */
    private static final double SURELY_ENGLISH = 0.65;

    /** Our dictionary has many words of other languages: with a single strange one it is asked. Ours. */
    private static final double WHOLLY_ENGLISH = 1;

    private static final int FEWEST_WORDS = 6;

    /** Words of English that the other languages whose voices are here don't have, or hardly. Ours. */
    private static final Set<String> ENGLISH_ALONE =
            Set.of("the", "and", "that", "this", "with", "they", "their", "would", "from", "which", "because", "your");

    /** With one of them in so many words a text is English, and needs no guess, which takes most of the time. Ours. */
    private static final int ENGLISH_ALONE_EACH = 12;

    private static final Pattern SPACE = Pattern.compile("\\s+");

    private final LanguageGuess guess;
    private final List<Voice> voices;

    OtherLanguages(LanguageGuess guess, List<Voice> voices) {
        this.guess = guess;
        this.voices = voices;
    }

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        String text = withoutAddresses(cue.text());
        List<String> words = Words.of(text).stream().map(word -> word.in(text)).toList();
        if (text.codePoints().filter(Character::isLetter).count() < FEWEST_LETTERS || words.size() < 3) {
            return;
        }
        double share = cue.english() ? englishShare(words) : 0;
        if (share >= SURELY_ENGLISH
                && (share >= WHOLLY_ENGLISH || words.size() < FEWEST_WORDS || englishAlone(words))) {
            return;
        }
        Optional<String> language = share >= SURELY_ENGLISH ? guess.surely(text) : guess.of(text);
        String spoken = ULocale.forLanguageTag(cue.language()).getLanguage();
        if (language.isEmpty() || language.get().equals(spoken)) {
            return;
        }
        String name = ULocale.forLanguageTag(language.get()).getDisplayLanguage(ULocale.ENGLISH);
        List<Suggestion> fitting = voices.stream()
                .filter(v -> ULocale.forLanguageTag(v.language()).getLanguage().equals(language.get()))
                .limit(MOST_VOICES)
                .map(v -> new Suggestion(Act.CAST, v.name()))
                .toList();
        String reason = "This looks like %s, and its voice speaks %s."
                        .formatted(name, ULocale.forLanguageTag(cue.language()).getDisplayLanguage(ULocale.ENGLISH))
                + (fitting.isEmpty() ? " No voice here speaks " + name + "." : "");
        found.add(new Finding(0, cue.text().length(), cue.text(), FindingKind.LANGUAGE, reason, "", fitting, false));
    }

    /**
     * Web and mail addresses are of no language. Word by word: a pattern for them takes time by the square of a long
     * word.
     */
    private static String withoutAddresses(String text) {
        return SPACE.splitAsStream(text).filter(word -> !address(word)).collect(Collectors.joining(" "));
    }

    private static boolean address(String word) {
        int at = word.indexOf('@');
        return at > 0 && at < word.length() - 1
                || word.indexOf("://") > 0 && !word.endsWith("://")
                || word.startsWith("www.") && word.length() > "www.".length();
    }

    private static double englishShare(List<String> words) {
        long known = words.stream()
                .map(word -> word.toLowerCase(Locale.ROOT))
                .filter(OtherLanguages::known)
                .count();
        return known / (double) words.size();
    }

    private static boolean englishAlone(List<String> words) {
        long alone = words.stream()
                .filter(word -> ENGLISH_ALONE.contains(word.toLowerCase(Locale.ROOT)))
                .count();
        return alone * ENGLISH_ALONE_EACH >= words.size();
    }

    private static boolean known(String word) {
        return Character.isDigit(word.charAt(0)) || Dictionary.english().knows(word);
    }
}
