package org.logophon.core.review.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.logophon.core.review.proof.Suggestion.Act;
import org.logophon.core.text.normalization.EngineHabits;
import org.logophon.core.text.normalization.FormKind;
import org.logophon.core.text.normalization.Letters;
import org.logophon.core.text.normalization.WrittenForm;
import org.logophon.core.text.normalization.WrittenForms;

/** Numbers, dates, acronyms and their like: is each said as a reader would say it? */
final class Forms implements Check {

    private static final Pattern APART = Pattern.compile("[-,’'\\s]+");

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        for (WrittenForm form : WrittenForms.in(cue.language()).find(cue.text())) {
            if (!cue.settled(form.start(), form.end())) {
                found.add(finding(cue, form));
            }
        }
    }

    private static Finding finding(CueToProof cue, WrittenForm form) {
        String written = cue.text().substring(form.start(), form.end());
        String habit = EngineHabits.say(written, cue.language());
        boolean right =
                same(habit, form.said().get(0)) && !(form.kind() == FormKind.ABBREVIATION && written.endsWith("."));
        List<Suggestion> suggestions = new ArrayList<>();
        form.said()
                .forEach(said -> suggestions.add(
                        new Suggestion(said.equals(Letters.spaced(written)) ? Act.LETTERS : Act.SAY, said)));
        return new Finding(
                form.start(),
                form.end(),
                written,
                FindingKind.of(form.kind()),
                reason(form, habit, right),
                habit,
                suggestions,
                right);
    }

    private static String reason(WrittenForm form, String habit, boolean right) {
        if (form.kind() == FormKind.ACRONYM) {
            return "Letters or a word? It would be said “" + habit + "”.";
        }
        return right ? "It is said “" + habit + "”." : "It would be said “" + habit + "”.";
    }

    /** Hyphens, capitals and the little "and" apart. */
    private static boolean same(String habit, String said) {
        return plain(habit).equals(plain(said));
    }

    private static String plain(String words) {
        return APART.matcher(words.toLowerCase(Locale.ROOT)).replaceAll(" ").strip();
    }
}
