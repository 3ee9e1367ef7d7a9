package org.logophon.core.text.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * All readings that hold in a cue.
 *
 * @param list   of the project and the house
 * @param places readings of single places, which come before any list; those whose words are others by now count for
 *               nothing
 */
public record CueReadings(ReadingList list, List<PlacedReading> places) {

    public CueReadings {
        places = List.copyOf(places);
    }

    /**
     * What is said otherwise than written, in the order of the text: places of their own first, then lists, then the
     * rules for written forms.
     *
     * @param language BCP 47 tag of the voice that speaks
     */
    public List<Pronunciation> said(String text, String language) {
        List<PlacedReading> own = standing(text);
        // "as it is written" at one place takes a list's reading away there, and the rule's, and says nothing otherwise
        List<Pronunciation> all = new ArrayList<>(own.stream()
                .map(place -> place.said(language))
                .filter(said ->
                        said.ipa() || !text.substring(said.start(), said.end()).equals(said.words()))
                .toList());
        List<Pronunciation> listed = list.said(text, language).stream()
                .filter(said -> own.stream().noneMatch(place -> over(said, place.start(), place.end())))
                .toList();
        all.addAll(listed);
        SaidByRule.of(text, language).stream()
                .filter(said -> own.stream().noneMatch(place -> over(said, place.start(), place.end())))
                .filter(said -> listed.stream().noneMatch(other -> over(said, other.start(), other.end())))
                .forEach(all::add);
        all.sort(Comparator.comparingInt(Pronunciation::start));
        return all;
    }

    private static boolean over(Pronunciation said, int start, int end) {
        return start < said.end() && end > said.start();
    }

    /**
     * Places of the text that are settled by a list or by a reading of their own.
     *
     * @param language as of {@link #said}
     */
    public List<ReadingList.Match> settled(String text, String language) {
        List<ReadingList.Match> all = new ArrayList<>(list.find(text, language));
        standing(text).forEach(place -> all.add(new ReadingList.Match(place.start(), place.end(), place.reading())));
        return all;
    }

    private List<PlacedReading> standing(String text) {
        return places.stream().filter(place -> place.stands(text)).toList();
    }
}
