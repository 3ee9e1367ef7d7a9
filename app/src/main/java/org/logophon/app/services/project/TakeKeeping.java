package org.logophon.app.services.project;

import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.take.TakenDirection;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The service that keeps, deletes and restores takes. */
@Service
public class TakeKeeping {

    private final Projects projects;
    private final ProjectRepository table;
    private final CueRepository cues;
    private final TakeRepository takes;

    TakeKeeping(Projects projects, ProjectRepository table, CueRepository cues, TakeRepository takes) {
        this.projects = projects;
        this.table = table;
        this.cues = cues;
        this.takes = takes;
    }

    /** @throws NotFound with a sentence when there is none of a cue that is in the script */
    public Take require(UUID project, UUID takeId) {
        Take take =
                takes.find(takeId).orElseThrow(() -> new NotFound("This take was deleted for good. Reload the page."));
        projects.cue(project, take.cueId());
        return take;
    }

    /** A deleted one comes back with it. */
    @Transactional
    public void keep(UUID project, UUID takeId) {
        table.hold(project);
        Take take = require(project, takeId);
        keep(project, projects.cue(project, take.cueId()), take);
        table.touch(project);
    }

    /** Several at once. @param wanted takes that are there, by cue. @return how many cues have another take now */
    @Transactional
    public int keepAll(UUID project, Map<UUID, UUID> wanted) {
        table.hold(project);
        int changed = 0;
        for (CueView cue : projects.view(project).cues()) {
            UUID take = wanted.get(cue.id());
            if (take != null && !take.equals(cue.keptTake())) {
                keep(project, cue, require(project, take));
                changed++;
            }
        }
        if (changed > 0) {
            table.touch(project);
        }
        return changed;
    }

    private void keep(UUID project, CueView cue, Take take) {
        takes.setDeleted(take.id(), false);
        CueView now = spokenBy(project, cue, take);
        cues.keep(take.cueId(), take.id(), now.recipe() == null ? take.recipe() : now.recipeHash());
        takes.kept(take.id());
    }

    /** @throws Refused when it is the kept one */
    @Transactional
    public void setDeleted(UUID project, UUID takeId, boolean deleted) {
        table.hold(project);
        Take take = require(project, takeId);
        if (deleted && takeId.equals(projects.cue(project, take.cueId()).keptTake())) {
            throw new Refused(take.name() + " is the kept take. Keep another one first.");
        }
        takes.setDeleted(takeId, deleted);
    }

    /**
     * A cue whose recording is kept is said by it from now on, and by its voice again when one of its takes is kept.
     */
    private CueView spokenBy(UUID project, CueView cue, Take take) {
        TakenDirection taken = cue.cue().taken();
        boolean recording = RecordedVoice.of(
                        take.origin().voice() == null
                                ? null
                                : take.origin().voice().id())
                .isPresent();
        if (!recording && (taken == null || !taken.recorded())) {
            return cue;
        }
        TakenDirection wanted = recording ? TakenDirection.of(take.name(), take.origin()) : null;
        if (Objects.equals(taken, wanted)) {
            return cue;
        }
        cues.direct(cue.id(), cue.cue().direction(), wanted);
        return projects.cue(project, cue.id());
    }
}
