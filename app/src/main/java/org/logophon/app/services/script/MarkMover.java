package org.logophon.app.services.script;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.services.project.Cue;
import org.logophon.app.services.project.CueRepository.Placed;
import org.logophon.app.services.project.MarkRepository;
import org.logophon.core.direction.mark.Marks;
import org.springframework.stereotype.Component;

/** Marks and readings of single places move with their words, inside their cue and into one that was cut out of it. */
@Component
class MarkMover {

    private final MarkRepository marks;

    MarkMover(MarkRepository marks) {
        this.marks = marks;
    }

    Map<UUID, Marks> marks(UUID project) {
        return marks.of(project);
    }

    /**
     * @param all marks as they stood before, by cue.
     *
     * @param origins for each new cue the old one that it was cut out of, or −1.
     * @return words whose reading or mark went with them
     */
    List<String> move(Map<UUID, Marks> all, List<Cue> before, List<Placed> after, int[] origins) {
        List<String> lost = new ArrayList<>();
        Map<UUID, Marks> moved = new HashMap<>();
        if (all.isEmpty()) {
            return lost;
        }
        Map<UUID, List<Placed>> continuing = continuing(before, after, origins);
        for (Cue cue : before) {
            Marks left = all.getOrDefault(cue.id(), Marks.NONE);
            if (left.all().isEmpty()) {
                continue;
            }
            left = left.on(cue.text());
            boolean stays = false;
            for (Placed now : continuing.getOrDefault(cue.id(), List.of())) {
                if (left.all().isEmpty()) {
                    break;
                }
                boolean itself = now.id().equals(cue.id());
                stays |= itself;
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
        after.stream()
                .filter(now -> moved.containsKey(now.id()))
                .forEach(now -> marks.save(now.id(), now.cue().text(), moved.get(now.id())));
        return lost;
    }

    /** For each old cue, in order, the new ones that are itself or were cut out of it. */
    private static Map<UUID, List<Placed>> continuing(List<Cue> before, List<Placed> after, int[] origins) {
        Map<UUID, List<Placed>> continuing = new HashMap<>();
        for (int i = 0; i < after.size(); i++) {
            Placed now = after.get(i);
            UUID origin = origins[i] < 0 ? now.id() : before.get(origins[i]).id();
            continuing.computeIfAbsent(now.id(), id -> new ArrayList<>()).add(now);
            if (!origin.equals(now.id())) {
                continuing.computeIfAbsent(origin, id -> new ArrayList<>()).add(now);
            }
        }
        return continuing;
    }
}
