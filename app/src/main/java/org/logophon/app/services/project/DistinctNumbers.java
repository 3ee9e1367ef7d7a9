package org.logophon.app.services.project;

import java.util.List;
import java.util.UUID;
import java.util.function.Predicate;
import org.logophon.core.text.script.FrozenNumbers;
import org.springframework.stereotype.Component;

/**
 * Numbers of a project's cues, where they came from elsewhere: each stands once, as the store demands when it commits.
 */
@Component
public class DistinctNumbers {

    private final ProjectRepository projects;
    private final CueRepository cues;

    DistinctNumbers(ProjectRepository projects, CueRepository cues) {
        this.projects = projects;
        this.cues = cues;
    }

    /**
     * Gives cues that share a number a free one between their neighbours'.
     *
     * @param keeps cues that keep their number before others; of several the first does
     */
    public void settle(UUID project, Predicate<Cue> keeps) {
        List<Cue> all = cues.of(project);
        List<String> before = all.stream().map(Cue::number).toList();
        List<String> distinct = FrozenNumbers.distinct(before, i -> keeps.test(all.get(i)));
        if (!distinct.contains(null)) {
            return;
        }
        FrozenNumbers frozen =
                new FrozenNumbers(projects.find(project).orElseThrow().shape().numbers(), cues.usedNumbers(project));
        cues.setNumbers(all.stream().map(Cue::id).toList(), frozen.complete(distinct));
    }
}
