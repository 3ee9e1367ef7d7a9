package org.logophon.core.text.reading;

import com.ibm.icu.text.Normalizer2;
import java.util.List;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.text.normalization.FormKind;
import org.logophon.core.text.normalization.Letters;
import org.logophon.core.text.normalization.SpelledOut;
import org.logophon.core.text.normalization.WrittenForm;
import org.logophon.core.text.normalization.WrittenForms;

/**
 * A pronunciation of a written form.
 *
 * @param written   as it stands in a script, NFC, without spaces around it
 * @param said      other words, or IPA; empty where {@code kind} says which way, which follows from the form itself
 * @param language  BCP 47 tag of the voices that it holds for; null for all
 * @param matchCase true when capitals count: {@code Reading} the town, not reading the book
 */
public record Reading(String written, String said, PronunciationKind kind, String language, boolean matchCase) {

    public static final int LONGEST = 200;

    public Reading {
        written = Normalizer2.getNFCInstance()
                .normalize(written == null ? "" : written.strip().replaceAll("\\s+", " "));
        said = Normalizer2.getNFCInstance()
                .normalize(said == null ? "" : said.strip().replaceAll("\\s+", " "));
        language = language == null || language.isBlank() ? null : language.strip();
        if (written.isEmpty() || written.length() > LONGEST || said.length() > LONGEST) {
            throw new InvalidInput(
                    "A reading has a written form and a spoken one of 1 to " + LONGEST + " characters each.");
        }
        if (said.isEmpty() && (kind == PronunciationKind.WORDS || kind == PronunciationKind.IPA)) {
            throw new InvalidInput(
                    "How \"" + written + "\" is said is missing. Write the words, or choose a kind such as letters.");
        }
    }

    public static Reading words(String written, String said) {
        return new Reading(written, said, PronunciationKind.WORDS, null, false);
    }

    public boolean holdsFor(String voiceLanguage) {
        return language == null
                || voiceLanguage.equalsIgnoreCase(language)
                || voiceLanguage
                        .toLowerCase(java.util.Locale.ROOT)
                        .startsWith(language.toLowerCase(java.util.Locale.ROOT) + "-");
    }

    /** The words to say, or the IPA. @param voiceLanguage BCP 47 tag that a kind is spelled out in */
    public String spoken(String voiceLanguage) {
        return switch (kind) {
            case WORDS, IPA -> said;
            case LETTERS -> Letters.spaced(written);
            case DIGITS -> SpelledOut.digits(written, voiceLanguage);
            case CARDINAL -> SpelledOut.cardinal(written, voiceLanguage);
            case ORDINAL -> SpelledOut.ordinal(written, voiceLanguage);
            case DATE -> form(voiceLanguage, FormKind.DATE);
            case TIME -> form(voiceLanguage, FormKind.TIME);
            case TELEPHONE -> form(voiceLanguage, FormKind.TELEPHONE);
        };
    }

    /** The written form itself where it isn't of that kind after all. */
    private String form(String voiceLanguage, FormKind kind) {
        List<WrittenForm> forms = WrittenForms.in(voiceLanguage).find(written);
        return forms.stream()
                .filter(f -> f.kind() == kind && f.start() == 0 && f.end() == written.length())
                .map(f -> f.said().get(0))
                .findFirst()
                .orElse(kind == FormKind.TELEPHONE ? SpelledOut.digits(written, voiceLanguage) : written);
    }
}
