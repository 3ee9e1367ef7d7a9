package org.logophon.app.steps.cast;

import java.util.Locale;
import java.util.function.Predicate;

/**
 * The filter of the list of voices; an empty value leaves a question open.
 *
 * @param language English name
 * @param sounds   "woman" or "man"
 * @param can      word of an ability
 * @param clear    a band of clearness, by its id
 * @param made     word of how its engine makes speech
 * @param cost     "free" or "hired"
 * @param list     "shortlist", or the name of a group
 * @param search   part of a name, a character or a note
 * @param order    what the list is sorted by
 */
record VoiceFilter(
        String language,
        String accent,
        String sounds,
        String age,
        String clear,
        String made,
        String can,
        String cost,
        String list,
        String search,
        String order) {

    static final String SHORTLIST = "shortlist";

    VoiceFilter {
        language = filled(language);
        accent = filled(accent);
        sounds = filled(sounds);
        age = filled(age);
        clear = filled(clear);
        made = filled(made);
        can = filled(can);
        cost = filled(cost);
        list = filled(list);
        search = filled(search).toLowerCase(Locale.ROOT);
        order = VoiceOrder.named(filled(order)).id();
    }

    static VoiceFilter ofLanguage(String language) {
        return new VoiceFilter(language, "", "", "", "", "", "", "", "", "", "");
    }

    private static String filled(String value) {
        return value == null ? "" : value.strip();
    }

    /** One question of the filter, so that its answers can be counted under all the others. */
    enum Question {
        LANGUAGE,
        ACCENT,
        SOUNDS,
        AGE,
        CLEAR,
        MADE,
        CAN,
        COST,
        LIST,
        SEARCH
    }

    Predicate<VoiceRow> matches() {
        return besides(null);
    }

    /** Every question but one. */
    Predicate<VoiceRow> besides(Question open) {
        return row -> {
            for (Question question : Question.values()) {
                if (question != open && !answers(question, row)) {
                    return false;
                }
            }
            return true;
        };
    }

    private boolean answers(Question question, VoiceRow row) {
        return switch (question) {
            case LANGUAGE -> language.isEmpty() || row.voice().languageName().equals(language);
            case ACCENT -> accent.isEmpty() || row.voice().accent().equals(accent);
            case SOUNDS -> sounds.isEmpty() || row.voice().gender().label().equals(sounds);
            case AGE -> age.isEmpty() || row.voice().age().id().equals(age);
            case CLEAR -> clear.isEmpty() || row.band().id().equals(clear);
            case MADE -> made.isEmpty() || row.voice().making().id().equals(made);
            case CAN ->
                can.isEmpty()
                        || row.voice().canDo().stream()
                                .anyMatch(ability -> ability.id().equals(can));
            case COST ->
                cost.isEmpty() || (cost.equals("free") == row.voice().terms().free());
            case LIST ->
                list.isEmpty()
                        || (list.equals(SHORTLIST)
                                ? row.note().shortlisted()
                                : row.note().groups().contains(list));
            case SEARCH ->
                search.isEmpty()
                        || (row.voice().name() + " " + row.voice().speaks() + " " + row.about() + " "
                                        + row.note().note())
                                .toLowerCase(Locale.ROOT)
                                .contains(search);
        };
    }
}
