package org.logophon.app.write;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.project.Cue;
import org.logophon.app.project.CueRepository.Placed;
import org.logophon.app.project.MarkRepository;
import org.logophon.app.project.PlaceReading;
import org.logophon.app.project.ReadingRepository;
import org.logophon.mark.Marks;
import org.logophon.script.TextDiff;
import org.springframework.stereotype.Component;

/** Marks and readings of single places move with their words, inside their cue and into one that was cut out of it. */
@Component
class PlaceMoves {

    private final ReadingRepository readings;
    private final MarkRepository marks;

    PlaceMoves(ReadingRepository readings, MarkRepository marks) {
        this.readings = readings;
        this.marks = marks;
    }

    /** @param origins for each new cue the old one that it was cut out of, or −1. @return words whose reading or mark went with them */
    List<String> move(UUID project, List<Cue> before, List<Placed> after, int[] origins) {
        List<PlaceReading> places = readings.places(project);
        List<String> lost = new ArrayList<>();
        moveMarks(marks.of(project), before, after, origins, lost);
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

    private void moveMarks(Map<UUID, Marks> all, List<Cue> before, List<Placed> after, int[] origins, List<String> lost) {
        if (all.isEmpty()) {
            return;
        }
        Map<UUID, Marks> moved = new HashMap<>();
        for (Cue cue : before) {
            Marks left = all.getOrDefault(cue.id(), Marks.NONE).on(cue.text());
            boolean stays = false;
            for (int i = 0; i < after.size() && !left.all().isEmpty(); i++) {
                Placed now = after.get(i);
                boolean itself = now.id().equals(cue.id());
                stays |= itself;
                if (!itself && !(origins[i] >= 0 && before.get(origins[i]).id().equals(cue.id()))) {
                    continue;
                }
                Marks.Moved there = left.moved(cue.text(), now.cue().text());
                if (!itself || !now.cue().text().equals(cue.text())) {
                    moved.merge(now.id(), there.marks(), Marks::plus);
                }
                left = new Marks(there.lost());
            }
            if (stays) {
                left.all().forEach(mark -> lost.add(cue.text().substring(mark.start(), mark.end())));
            }
        }
        moved.forEach(marks::save);
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
