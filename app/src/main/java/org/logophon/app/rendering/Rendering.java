package org.logophon.app.rendering;

import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.project.CueState;
import org.logophon.app.project.CueView;
import org.logophon.app.project.Projects;
import org.logophon.app.web.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Asks for renders, follows them and stops them. */
@Service
public class Rendering {

    private final Projects projects;
    private final BatchRepository batches;
    private final JobQueue jobs;
    private final OneTimeTask<Void> task;

    Rendering(Projects projects, BatchRepository batches, JobQueue jobs, OneTimeTask<Void> renderTask) {
        this.projects = projects;
        this.batches = batches;
        this.jobs = jobs;
        this.task = renderTask;
    }

    /** Every cue that isn't as it should be and can be. @return how many were added */
    @Transactional
    public int renderChanged(UUID project) {
        return render(project, projects.view(project).cues().stream().filter(CueView::wantsRender).toList());
    }

    /** @throws Refused with a sentence when the cue can't be rendered */
    @Transactional
    public int renderCue(UUID project, UUID cue) {
        CueView view = projects.cue(project, cue);
        if (view.recipe() == null || view.problem() != null && !view.wantsRender()) {
            throw new Refused(view.problem());
        }
        return view.state() == CueState.RENDERING || view.state() == CueState.READY ? 0 : render(project, List.of(view));
    }

    private int render(UUID project, List<CueView> cues) {
        if (cues.isEmpty()) {
            return 0;
        }
        List<UUID> ids = cues.stream().map(CueView::id).toList();
        UUID batch = batches.create(project, ids);
        jobs.add(task, ids.stream().map(cue -> RenderJob.of(batch, cue)).toList());
        return ids.size();
    }

    @Transactional
    public void cancel(UUID project) {
        batches.cancel(project);
    }

    /** The batch that is under way, or else the last one. */
    public Optional<Batch> latest(UUID project) {
        return batches.latest(project);
    }
}
