package org.logophon.app.services.project;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.core.direction.mark.Marks;

/**
 * All that recipes of a project follow from, worked out.
 *
 * @param sceneGaps milliseconds, by scene
 * @param stamp which state of it this is: see {@link ProjectContents}
 */
record ProjectContent(String stamp, List<Role> roles, List<CueContent> cues, Map<String, Integer> sceneGaps) {

    /** What is known beside a project's cues, while they are worked out. @param seeds of chance, by cue */
    record Around(List<Role> roles, ProjectReadings readings, Map<UUID, Marks> marks, Map<UUID, Long> seeds) {}

    /** Bytes, near enough: text and recipe of a cue, and what is around them. */
    int weight() {
        long characters =
                cues.stream().mapToLong(cue -> cue.cue().text().length()).sum();
        return (int) Math.min(Integer.MAX_VALUE, 4_096 + characters * 3 + cues.size() * 1_200L);
    }
}
