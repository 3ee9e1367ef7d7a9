package org.logophon.app.project;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.core.reading.Pronunciation;
import org.logophon.core.reading.ReadingList;

/**
 * All readings that hold in a project: its own list before the house's, and those of single places before both.
 *
 * @param places by cue
 */
public record ProjectReadings(ReadingList list, Map<UUID, List<PlaceReading>> places) {

    /** What is said otherwise than written in a cue. */
    public List<Pronunciation> said(UUID cue, String text, String language) {
        List<Pronunciation> listed = list.said(text, language);
        List<PlaceReading> own = places.getOrDefault(cue, List.of()).stream()
                .filter(place -> place.stands(text))
                .toList();
        if (own.isEmpty()) {
            return listed;
        }
        // "as it is written" at one place takes a list's reading away there, and says nothing otherwise
        List<Pronunciation> all = new ArrayList<>(own.stream()
                .map(place -> place.said(language))
                .filter(said ->
                        said.ipa() || !text.substring(said.start(), said.end()).equals(said.words()))
                .toList());
        listed.stream()
                .filter(said ->
                        own.stream().noneMatch(place -> place.start() < said.end() && place.end() > said.start()))
                .forEach(all::add);
        all.sort(Comparator.comparingInt(Pronunciation::start));
        return all;
    }

    /** Places that are settled, for proof. */
    public List<ReadingList.Match> settled(UUID cue, String text, String language) {
        List<ReadingList.Match> all = new ArrayList<>(list.find(text, language));
        places.getOrDefault(cue, List.of()).stream()
                .filter(place -> place.stands(text))
                .forEach(place -> all.add(new ReadingList.Match(place.start(), place.end(), place.reading())));
        return all;
    }
}
