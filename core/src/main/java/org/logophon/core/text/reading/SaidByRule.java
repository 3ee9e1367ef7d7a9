package org.logophon.core.text.reading;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.logophon.core.text.normalization.WrittenForm;
import org.logophon.core.text.normalization.WrittenForms;

/** Written forms as they are said where no reading and no mark says otherwise: by every engine in the same words. */
public final class SaidByRule {

    private static final String NOTHING = " ";

    private SaidByRule() {}

    /**
     * In the order of the text: written forms, and directions in brackets as nothing.
     *
     * @param language BCP 47 tag of the voice that speaks
     */
    public static List<Pronunciation> of(String text, String language) {
        List<Pronunciation> directions = BracketedDirections.unspoken(text).stream()
                .map(direction -> new Pronunciation(direction.start(), direction.end(), NOTHING, false))
                .toList();
        Stream<Pronunciation> forms = WrittenForms.in(language).find(text).stream()
                .map(form -> new Pronunciation(form.start(), form.end(), said(text, form), false));
        return directions.isEmpty()
                ? forms.toList()
                : Stream.concat(
                                directions.stream(),
                                forms.filter(form -> directions.stream()
                                        .noneMatch(other -> other.start() < form.end() && other.end() > form.start())))
                        .sorted(Comparator.comparingInt(Pronunciation::start))
                        .toList();
    }

    /** A full stop that ends an abbreviation, and the text with it, is heard as the end. */
    private static String said(String text, WrittenForm form) {
        boolean ends =
                text.charAt(form.end() - 1) == '.' && text.substring(form.end()).isBlank();
        return form.said().get(0) + (ends ? "." : "");
    }
}
