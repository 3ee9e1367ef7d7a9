package org.logophon.core.text.estimate;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.text.dictionary.Dictionary;
import org.logophon.core.text.dictionary.Sounds;
import org.logophon.core.text.normalization.WrittenForm;
import org.logophon.core.text.normalization.WrittenForms;

/**
 * How long an average voice at 100 % pace takes for a text: a time for each kind of sound and for each stop. The times
 * were
 * fitted by least squares to 38 made-up cues in 16 English voices; a single voice differs from them by one factor, its
 * {@link SpeakingRate}.
 */
public final class ReferenceTime {

    private static final double STRESSED = 0.068;
    private static final double WEAK = 0.043;
    private static final double LONGER = 0.050;
    private static final double CONSONANT = 0.070;
    private static final double COMMA = 0.321;
    private static final double STOP = 0.460;
    private static final double COLON = 0.464;
    private static final double START = 0.147;
    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}’']+");
    private static final Pattern VOWEL = Pattern.compile("[aeiouyàáâãäåæèéêëìíîïòóôõöøœùúûüýÿāēīōūąęŵŷ]+");
    /** Letter by letter, as their names: W has three vowels and five consonants. */
    private static final Sounds LETTER = new Sounds(1, 0, 1, 1);

    private static final Sounds LETTER_W = new Sounds(1, 2, 0, 5);

    private ReferenceTime() {}

    /** Seconds of speech, pauses inside it included. @param language BCP 47 tag of the voice, or of the project */
    public static double seconds(String text, String language) {
        return seconds(text, language, WrittenForms.in(language).find(text));
    }

    /** @param forms the text's written forms, found before */
    public static double seconds(String text, String language, List<WrittenForm> forms) {
        String said = WrittenForms.said(text, forms);
        boolean english = language.startsWith("en");
        double seconds = START + stops(text);
        Matcher words = WORD.matcher(said);
        while (words.find()) {
            Sounds sounds = sounds(words.group(), english);
            seconds += sounds.stressed() * STRESSED
                    + sounds.weak() * WEAK
                    + sounds.longStressed() * LONGER
                    + sounds.consonants() * CONSONANT;
        }
        return seconds;
    }

    /** Seconds of pauses at signs that a space follows; the last stop is the end of the sound. */
    public static double stops(String text) {
        double seconds = 0;
        for (int i = 0; i + 1 < text.length(); i++) {
            seconds += stop(text, i);
        }
        return seconds;
    }

    /** How many signs {@link #stops} counts. */
    public static int countOfStops(String text) {
        int count = 0;
        for (int i = 0; i + 1 < text.length(); i++) {
            count += stop(text, i) > 0 ? 1 : 0;
        }
        return count;
    }

    private static double stop(String text, int i) {
        if (text.charAt(i + 1) != ' ') {
            return 0;
        }
        return switch (text.charAt(i)) {
            case ',' -> COMMA;
            case '.', '?', '!', '…' -> STOP;
            case ':', ';', '—', '–' -> COLON;
            default -> 0;
        };
    }

    private static Sounds sounds(String word, boolean english) {
        if (word.length() == 1) {
            return "W".equals(word) && english ? LETTER_W : "aAIiOo".contains(word) ? new Sounds(0, 1, 0, 0) : LETTER;
        }
        String lower = word.toLowerCase(Locale.ROOT);
        Optional<Sounds> known = english ? Dictionary.english().sounds(lower) : Optional.empty();
        return known.orElseGet(() -> guessed(lower));
    }

    private static Sounds guessed(String lower) {
        Matcher vowels = VOWEL.matcher(lower);
        int groups = 0;
        int letters = 0;
        while (vowels.find()) {
            groups++;
            letters += vowels.group().length();
        }
        if (groups == 0 && lower.codePoints().allMatch(c -> c > 0x24F)) {
            int syllables = Math.max(1, lower.codePointCount(0, lower.length()) / 2);
            return new Sounds(syllables, 0, 0, syllables);
        }
        return new Sounds(1, Math.max(0, groups - 1), 0, lower.length() - letters);
    }
}
