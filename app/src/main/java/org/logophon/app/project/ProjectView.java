package org.logophon.app.project;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.logophon.core.programme.Programme;
import org.logophon.core.programme.SampleCount;

/** A project with its roles and cues as they stand. */
public record ProjectView(Project project, List<Role> roles, List<CueView> cues) {

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

    /** Some cues one after another, as if there were no others. */
    public static Programme<CueView> programme(
            List<CueView> cues, java.util.function.Function<CueView, SampleCount> length) {
        return Programme.inOrder(cues.stream()
                .map(cue -> new Programme.Entry<>(cue, length.apply(cue), cue.gap()))
                .toList());
    }

    /** Running time: cues and the pauses between them. */
    public double seconds() {
        return programme().length().seconds();
    }

    public Optional<CueView> cue(UUID id) {
        return cues.stream().filter(c -> c.id().equals(id)).findFirst();
    }
}
