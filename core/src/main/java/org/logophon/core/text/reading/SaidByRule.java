package org.logophon.core.text.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.logophon.core.text.heteronym.Heteronyms;
import org.logophon.core.text.normalization.WrittenForm;
import org.logophon.core.text.normalization.WrittenForms;

/**
 * Written forms, and words of two pronunciations, as they are said where no reading and no mark says otherwise: by
 * every engine in the same words.
 */
public final class SaidByRule {

    private static final String NOTHING = " ";

    private SaidByRule() {}

    /**
     * In the order of the text: written forms, English words of two pronunciations, and directions in brackets as
     * nothing.
     *
     * @param language BCP 47 tag of the voice that speaks
     */
    public static List<Pronunciation> of(String text, String language) {
        List<Pronunciation> said = new ArrayList<>();
        BracketedDirections.unspoken(text)
                .forEach(direction -> said.add(new Pronunciation(direction.start(), direction.end(), NOTHING, false)));
        add(
                said,
                WrittenForms.in(language).find(text).stream()
                        .map(form -> new Pronunciation(form.start(), form.end(), said(text, form), false)));
        if (Locale.forLanguageTag(language).getLanguage().equals("en")) {
            add(
                    said,
                    Heteronyms.in(text).stream()
                            .filter(word ->
                                    !text.substring(word.start(), word.end()).equalsIgnoreCase(word.said()))
                            .map(word -> new Pronunciation(word.start(), word.end(), word.said(), false)));
        }
        said.sort(Comparator.comparingInt(Pronunciation::start));
        return List.copyOf(said);
    }

    /** What comes first stands: a word in a direction isn't spoken, whatever it is. */
    private static void add(List<Pronunciation> said, Stream<Pronunciation> more) {
        List<Pronunciation> before = List.copyOf(said);
        more.filter(one -> before.stream().noneMatch(other -> other.start() < one.end() && other.end() > one.start()))
                .forEach(said::add);
    }

    /** A full stop that ends an abbreviation, and the text with it, is heard as the end. */
    private static String said(String text, WrittenForm form) {
        boolean ends =
                text.charAt(form.end() - 1) == '.' && text.substring(form.end()).isBlank();
        return form.said().get(0) + (ends ? "." : "");
    }
}
