package org.logophon.core.proof;

import com.ibm.icu.util.ULocale;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.logophon.core.dictionary.Dictionary;
import org.logophon.core.proof.Suggestion.Act;
import org.logophon.core.voice.Voice;

/** Cues in another language than their voice's. */
final class OtherLanguages implements Check {

    private static final int FEWEST_LETTERS = 12;
    private static final int MOST_VOICES = 3;
    /** An English text has at least this share of its words in the dictionary: no guess is needed. Ours. */
    private static final double SURELY_ENGLISH = 0.65;

    private final LanguageGuess guess;
    private final List<Voice> voices;

    OtherLanguages(LanguageGuess guess, List<Voice> voices) {
        this.guess = guess;
        this.voices = voices;
    }

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        if (cue.text().codePoints().filter(Character::isLetter).count() < FEWEST_LETTERS
                || cue.words().size() < 3
                || cue.english() && englishShare(cue) >= SURELY_ENGLISH) {
            return;
        }
        Optional<String> language = guess.of(cue.text());
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

    private static double englishShare(CueToProof cue) {
        long known = cue.words().stream()
                .map(word -> word.in(cue.text()).toLowerCase(Locale.ROOT))
                .filter(OtherLanguages::known)
                .count();
        return known / (double) cue.words().size();
    }

    private static boolean known(String word) {
        return Character.isDigit(word.charAt(0)) || Dictionary.english().knows(word);
    }
}
