package org.logophon.core.text.script;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.text.FilteredBreakIteratorBuilder;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Ends of sentences by UAX #29 with CLDR's suppressions ("Dr.", "No."), and of clauses inside them. */
public final class Sentences {

    /** What CLDR's English suppressions lack and scripts have: "Dr.", "No. 4", "c. 1900" (practice). */
    private static final String[] MORE = {
        "Dr.", "Mr.", "Mrs.", "Ms.", "Prof.", "Capt.", "Rev.", "Sgt.", "Lt.", "Col.", "No.", "no.", "Nos.", "Fig.",
        "fig.", "approx.", "c.", "ca.", "p.", "pp.", "vol.", "Vol.", "St.", "vs."
    };

    private static final Pattern CLAUSE = Pattern.compile("[,;:—–](?=\\s)\\s*");

    private Sentences() {}

    /** Indices after each sentence, its trailing space included; the last is the text's length. */
    public static List<Integer> ends(String text, String language) {
        FilteredBreakIteratorBuilder builder = FilteredBreakIteratorBuilder.getInstance(
                new ULocale(ULocale.forLanguageTag(language).getLanguage()));
        for (String more : MORE) {
            builder.suppressBreakAfter(more);
        }
        BreakIterator sentences =
                builder.wrapIteratorWithFilter(BreakIterator.getSentenceInstance(ULocale.forLanguageTag(language)));
        sentences.setText(text);
        List<Integer> ends = new ArrayList<>();
        for (int end = sentences.next(); end != BreakIterator.DONE; end = sentences.next()) {
            ends.add(end);
        }
        if (!text.isEmpty() && (ends.isEmpty() || ends.get(ends.size() - 1) != text.length())) {
            ends.add(text.length());
        }
        return ends;
    }

    /** Indices after each comma, semicolon, colon or dash. */
    public static List<Integer> clauseEnds(String text) {
        List<Integer> ends = new ArrayList<>();
        Matcher clauses = CLAUSE.matcher(text);
        while (clauses.find()) {
            ends.add(clauses.end());
        }
        return ends;
    }
}
