package org.logophon.app.write;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.project.Cue;
import org.logophon.app.project.CueRepository.Placed;
import org.logophon.app.project.MarkRepository;
import org.logophon.core.mark.Marks;
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
        after.stream()
                .filter(now -> moved.containsKey(now.id()))
                .forEach(now -> marks.save(now.id(), now.cue().text(), moved.get(now.id())));
        return lost;
    }
}
