package org.logophon.app.services.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.SampleCount;

/** A project with its roles and cues as they stand. @param sceneGaps milliseconds after a scene, by its name */
public record ProjectView(Project project, List<Role> roles, List<CueView> cues, Map<String, Integer> sceneGaps) {

    public UUID id() {
        return project.id();
    }

    /** Cues in a state. */
    public long count(CueState state) {
        return count(cue -> cue.state() == state);
    }

    public long toRender() {
        return count(CueView::wantsRender);
    }

    public long unfit() {
        return count(cue -> cue.problem() != null);
    }

    private long count(Predicate<CueView> which) {
        return cues.stream().filter(which).count();
    }

    /** Its cues in time, each as long as it measures or is expected to be. */
    public Programme<CueView> programme() {
        return programme(cues, CueView::length);
    }

    /** Its cues in time as they can be heard now: a kept take counts also where the cue has changed since. */
    public Programme<CueView> heard() {
        return programme(
                cues,
                cue -> cue.status().sound() == null
                        ? cue.length()
                        : cue.status().sound().length());
    }

    /** Some of its cues, as if there were no others. */
    public Programme<CueView> programme(List<CueView> some, Function<CueView, SampleCount> length) {
        List<Programme.Entry<CueView>> entries = new ArrayList<>(some.size());
        for (int i = 0; i < some.size(); i++) {
            CueView cue = some.get(i);
            String scene = cue.cue().scene();
            boolean ends = i + 1 < some.size() && !some.get(i + 1).cue().scene().equals(scene);
            entries.add(new Programme.Entry<>(
                    cue,
                    length.apply(cue),
                    cue.gap(ends ? sceneGaps.getOrDefault(scene, ofPhrasing(cue)) : null),
                    cue.cue().place().placement(cue.cue().slot(), project.picture())));
        }
        return Programme.placed(entries, project.picture().rate());
    }

    private static Integer ofPhrasing(CueView cue) {
        return cue.direction().phrasingPercent() == 0
                ? null
                : Integer.valueOf(cue.direction().sceneMillis());
    }

    /** Running time: cues and the pauses between them. */
    public double seconds() {
        return programme().length().seconds();
    }

    public Optional<CueView> cue(UUID id) {
        return cues.stream().filter(c -> c.id().equals(id)).findFirst();
    }
}
