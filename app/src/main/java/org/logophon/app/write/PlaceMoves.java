package org.logophon.app.write;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.project.Cue;
import org.logophon.app.project.CueRepository.Placed;
import org.logophon.app.project.PlaceReading;
import org.logophon.app.project.ReadingRepository;
import org.logophon.script.TextDiff;
import org.springframework.stereotype.Component;

/** Readings of single places move with their words, inside their cue and into one that was cut out of it. */
@Component
class PlaceMoves {

    private final ReadingRepository readings;

    PlaceMoves(ReadingRepository readings) {
        this.readings = readings;
    }

    /** @param origins for each new cue the old one that it was cut out of, or −1. @return words whose reading went with them */
    List<String> move(UUID project, List<Cue> before, List<Placed> after, int[] origins) {
        List<PlaceReading> places = readings.places(project);
        List<String> lost = new ArrayList<>();
        if (places.isEmpty()) {
            return lost;
        }
        Map<UUID, Cue> old = new HashMap<>();
        before.forEach(cue -> old.put(cue.id(), cue));
        for (PlaceReading place : places) {
            Cue cue = old.get(place.cue());
            if (cue != null && place.stands(cue.text())) {
                move(place, cue, before, after, origins, lost);
            }
        }
        return lost;
    }

    private void move(PlaceReading place, Cue cue, List<Cue> before, List<Placed> after, int[] origins, List<String> lost) {
        for (int i = 0; i < after.size(); i++) {
            Placed now = after.get(i);
            boolean heir = now.id().equals(cue.id()) || origins[i] >= 0 && before.get(origins[i]).id().equals(cue.id());
            if (!heir) {
                continue;
            }
            String text = now.cue().text();
            if (text.equals(cue.text())) {
                return;
            }
            int start = TextDiff.of(cue.text(), text).movedWord(place.start());
            if (start >= 0 && place.at(now.id(), start).stands(text)) {
                readings.removePlace(place.cue(), place.start());
                readings.put(place.at(now.id(), start));
                return;
            }
        }
        boolean stays = after.stream().anyMatch(now -> now.id().equals(cue.id()));
        if (stays) {
            readings.removePlace(place.cue(), place.start());
            lost.add(place.reading().written());
        }
    }
}
