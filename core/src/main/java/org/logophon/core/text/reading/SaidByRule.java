package org.logophon.core.text.reading;

import java.util.List;
import org.logophon.core.text.normalization.WrittenForm;
import org.logophon.core.text.normalization.WrittenForms;

/** Written forms as they are said where no reading and no mark says otherwise: by every engine in the same words. */
public final class SaidByRule {

    private SaidByRule() {}

    /** In the order of the text. @param language BCP 47 tag of the voice that speaks */
    public static List<Pronunciation> of(String text, String language) {
        return WrittenForms.in(language).find(text).stream()
                .map(form -> new Pronunciation(form.start(), form.end(), said(text, form), false))
                .toList();
    }

    /** A full stop that ends an abbreviation, and the text with it, is heard as the end. */
    private static String said(String text, WrittenForm form) {
        boolean ends =
                text.charAt(form.end() - 1) == '.' && text.substring(form.end()).isBlank();
        return form.said().get(0) + (ends ? "." : "");
    }
}
