package org.logophon.app.project;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;

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

    /** Running time: cues and the pauses between them. */
    public double seconds() {
        double seconds = 0;
        for (int i = 0; i < cues.size(); i++) {
            seconds += cues.get(i).seconds()
                    + (i + 1 < cues.size() ? cues.get(i).direction().pauseMillis() / 1000.0 : 0);
        }
        return seconds;
    }

    public Optional<CueView> cue(UUID id) {
        return cues.stream().filter(c -> c.id().equals(id)).findFirst();
    }
}
