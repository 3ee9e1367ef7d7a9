package org.logophon.app.steps.cast;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.logophon.app.platform.people.Visits;
import org.logophon.app.services.voices.VoiceFiguresRepository;
import org.logophon.app.steps.cast.VoiceFilter.Question;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.figures.ClearnessTable;
import org.logophon.core.voice.figures.VoiceCharacter;
import org.logophon.core.voice.figures.VoiceFigures;
import org.springframework.stereotype.Component;

/** The voices with all that is known of them, narrowed down. */
@Component
class Catalogue {

    private static final int MOST_WORKSPACES = 50;
    private static final int MOST_FILTERS = 100;

    private final VoiceCatalogue voices;
    private final VoiceFiguresRepository figures;
    private final VoiceNotes notes;
    private final ClearnessTable clearness;
    private final Visits visits;
    private final Cache<UUID, Listed> latest =
            Caffeine.newBuilder().maximumSize(MOST_WORKSPACES).build();

    Catalogue(
            VoiceCatalogue voices,
            VoiceFiguresRepository figures,
            VoiceNotes notes,
            ClearnessTable clearness,
            Visits visits) {
        this.visits = visits;
        this.voices = voices;
        this.figures = figures;
        this.notes = notes;
        this.clearness = clearness;
    }

    /** An answer to a question of the filter, with how many voices it would leave. */
    record FilterOption(String value, String title, int count, boolean chosen) {}

    /**
     * The voices that were found.
     *
     * @param all     every voice, for the map
     * @param rows    those that match, in their order, the shortlist first, then the house's own
     * @param map     of those that match, among all
     * @param choices for each question its answers
     */
    record SearchResult(
            List<VoiceRow> all, List<VoiceRow> rows, VoiceMap map, Map<Question, List<FilterOption>> choices) {}

    List<VoiceRow> all() {
        return listed().all();
    }

    private List<VoiceRow> rows(Sources from) {
        return voices.all().stream()
                .map(voice -> row(
                        voice,
                        from.measured().get(voice.id()),
                        from.soundless().contains(voice.id()),
                        from.noted().getOrDefault(voice.id(), VoiceNote.NONE),
                        from.used().getOrDefault(voice.id(), List.of()),
                        voice.ofTheHouse()
                                ? voices.find(voice.baseId()).map(Voice::name).orElse("a missing voice")
                                : null))
                .toList();
    }

    private VoiceRow row(
            Voice voice, VoiceFigures measured, boolean soundless, VoiceNote note, List<String> used, String base) {
        // whoever is made of a voice was given words for who that is
        boolean told = measured == null || voice.ofTheCast();
        List<String> character = Stream.concat(
                        voice.character().stream(),
                        told ? Stream.empty() : VoiceCharacter.of(measured, voice.gender()).stream())
                .distinct()
                .toList();
        return new VoiceRow(
                voice, measured, soundless, clearness.of(voice.id()).orElse(null), character, note, used, base);
    }

    /** What the list follows from. Two that are equal have the same list. */
    private record Sources(
            long voices,
            Map<String, VoiceFigures> measured,
            Set<String> soundless,
            Map<String, VoiceNote> noted,
            Map<String, List<String>> used) {}

    /** A workspace's list as it was found last, with what it was found from. */
    private record Listed(Sources from, List<VoiceRow> all, Map<VoiceFilter, SearchResult> found) {}

    /**
     * Narrowed down and counted once for a filter, and again when something of it has changed: most visits find what
     * others found.
     */
    SearchResult find(VoiceFilter filter) {
        Listed listed = listed();
        return listed.found().computeIfAbsent(filter, asked -> search(listed.all(), asked));
    }

    private Listed listed() {
        Sources now = new Sources(voices.version(), figures.all(), figures.soundless(), notes.all(), notes.used());
        UUID workspace = visits.workspace();
        Listed known = latest.getIfPresent(workspace);
        if (known == null || !known.from().equals(now)) {
            known = new Listed(now, rows(now), boundedFilters());
            latest.put(workspace, known);
        }
        return known;
    }

    private static Map<VoiceFilter, SearchResult> boundedFilters() {
        return Caffeine.newBuilder()
                .maximumSize(MOST_FILTERS)
                .<VoiceFilter, SearchResult>build()
                .asMap();
    }

    private static SearchResult search(List<VoiceRow> all, VoiceFilter filter) {
        List<VoiceRow> rows = all.stream()
                .filter(filter.matches())
                .sorted(Comparator.comparing((VoiceRow row) -> !row.note().shortlisted())
                        .thenComparing(row -> !row.voice().ofTheHouse())
                        .thenComparing(VoiceOrder.named(filter.order()).comparator()))
                .toList();
        Map<Question, List<FilterOption>> choices = new TreeMap<>();
        choices.put(
                Question.LANGUAGE,
                choices(
                        all,
                        filter,
                        Question.LANGUAGE,
                        filter.language(),
                        row -> List.of(row.voice().languageName())));
        choices.put(
                Question.ACCENT,
                choices(
                        all,
                        filter,
                        Question.ACCENT,
                        filter.accent(),
                        row -> row.voice().accent().isEmpty()
                                ? List.of()
                                : List.of(row.voice().accent())));
        choices.put(
                Question.SOUNDS,
                choices(
                        all,
                        filter,
                        Question.SOUNDS,
                        filter.sounds(),
                        row -> List.of(row.voice().gender().label())));
        choices.put(
                Question.AGE,
                choices(
                        all,
                        filter,
                        Question.AGE,
                        filter.age(),
                        row -> List.of(row.voice().age().id())));
        choices.put(Question.CLEAR, clearnesses(all, filter));
        choices.put(
                Question.MADE,
                choices(
                        all,
                        filter,
                        Question.MADE,
                        filter.made(),
                        row -> List.of(row.voice().making().id())));
        choices.put(
                Question.CAN,
                choices(
                        all,
                        filter,
                        Question.CAN,
                        filter.can(),
                        row -> row.voice().canDo().stream().map(Ability::id).toList()));
        choices.put(
                Question.COST,
                choices(
                        all,
                        filter,
                        Question.COST,
                        filter.cost(),
                        row -> List.of(row.voice().terms().free() ? "free" : "hired")));
        choices.put(Question.LIST, choices(all, filter, Question.LIST, filter.list(), row -> {
            List<String> lists = new ArrayList<>(row.note().groups());
            if (row.note().shortlisted()) {
                lists.add(VoiceFilter.SHORTLIST);
            }
            return lists;
        }));
        return new SearchResult(all, rows, VoiceMap.of(all, rows), choices);
    }

    /** In their own order, and by their titles. */
    private static List<FilterOption> clearnesses(List<VoiceRow> all, VoiceFilter filter) {
        Map<String, FilterOption> counted = new HashMap<>();
        for (FilterOption option : choices(
                all,
                filter,
                Question.CLEAR,
                filter.clear(),
                row -> List.of(row.band().id()))) {
            counted.put(option.value(), option);
        }
        List<FilterOption> choices = new ArrayList<>(List.of(counted.get("")));
        for (ClearBand band : ClearBand.values()) {
            FilterOption option = counted.get(band.id());
            if (option != null) {
                choices.add(new FilterOption(option.value(), band.title(), option.count(), option.chosen()));
            }
        }
        return choices;
    }

    private static List<FilterOption> choices(
            List<VoiceRow> all,
            VoiceFilter filter,
            Question question,
            String chosen,
            Function<VoiceRow, List<String>> values) {
        Map<String, Integer> counts = new TreeMap<>();
        all.stream()
                .filter(filter.besides(question))
                .forEach(row -> values.apply(row).forEach(value -> counts.merge(value, 1, Integer::sum)));
        if (!chosen.isEmpty()) {
            counts.putIfAbsent(chosen, 0);
        }
        List<FilterOption> choices = new ArrayList<>();
        choices.add(new FilterOption(
                "", "any", counts.values().stream().mapToInt(Integer::intValue).sum(), chosen.isEmpty()));
        counts.forEach((value, count) -> choices.add(new FilterOption(value, value, count, value.equals(chosen))));
        return choices;
    }
}
