package org.logophon.core.review.proof;

import com.github.pemistahl.lingua.api.Language;
import com.github.pemistahl.lingua.api.LanguageDetector;
import com.github.pemistahl.lingua.api.LanguageDetectorBuilder;
import java.util.Locale;
import java.util.Optional;

/** Lingua's detector, in the mode that needs little memory: a cue is long enough for it. Made when first asked. */
public final class DetectedLanguage implements LanguageGuess {

    /** Languages of the voices whose names a script may hold; more of them make short cues ambiguous. */
    private static final Language[] LIKELY = {
        Language.ENGLISH,
        Language.WELSH,
        Language.IRISH,
        Language.GERMAN,
        Language.FRENCH,
        Language.SPANISH,
        Language.ITALIAN,
        Language.PORTUGUESE,
        Language.DUTCH,
        Language.SWEDISH,
        Language.DANISH,
        Language.BOKMAL,
        Language.FINNISH,
        Language.POLISH,
        Language.CZECH,
        Language.HUNGARIAN,
        Language.ROMANIAN,
        Language.TURKISH,
        Language.GREEK,
        Language.RUSSIAN,
        Language.UKRAINIAN,
        Language.ARABIC,
        Language.HINDI,
        Language.CHINESE,
        Language.JAPANESE,
        Language.KOREAN,
        Language.LATIN
    };

    /** Of all that it might be, for short texts with many words that English has too. Ours. */
    private static final double SURE = 0.9;

    private static final class Holder {
        private static final LanguageDetector DETECTOR = LanguageDetectorBuilder.fromLanguages(LIKELY)
                .withLowAccuracyMode()
                .build();
    }

    @Override
    public Optional<String> of(String text) {
        return told(Holder.DETECTOR.detectLanguageOf(text));
    }

    @Override
    public Optional<String> surely(String text) {
        // the likeliest first
        return Holder.DETECTOR.computeLanguageConfidenceValues(text).entrySet().stream()
                .findFirst()
                .filter(likeliest -> likeliest.getValue() >= SURE)
                .flatMap(likeliest -> told(likeliest.getKey()));
    }

    private static Optional<String> told(Language language) {
        return language == Language.UNKNOWN
                ? Optional.empty()
                : Optional.of(language.getIsoCode639_1().toString().toLowerCase(Locale.ROOT));
    }
}
