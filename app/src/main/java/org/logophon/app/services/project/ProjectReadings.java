package org.logophon.app.services.project;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.core.text.reading.CueReadings;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.text.reading.ReadingList;

/**
 * All readings that hold in a project: its own list before the house's, and those of single places before both.
 *
 * @param places by cue
 */
public record ProjectReadings(ReadingList list, Map<UUID, List<PlaceReading>> places) {

    private CueReadings of(UUID cue) {
        return new CueReadings(
                list,
                places.getOrDefault(cue, List.of()).stream()
                        .map(PlaceReading::placed)
                        .toList());
    }

    /** What is said otherwise than written in a cue. */
    public List<Pronunciation> said(UUID cue, String text, String language) {
        return of(cue).said(text, language);
    }

    /** The same of words that stand in no cue. */
    public List<Pronunciation> said(String text, String language) {
        return new CueReadings(list, List.of()).said(text, language);
    }

    /** Places that are settled, for proof. */
    public List<ReadingList.Match> settled(UUID cue, String text, String language) {
        return of(cue).settled(text, language);
    }
}
