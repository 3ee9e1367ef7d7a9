package org.logophon.app.services.deliveries;

import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.rendering.JobQueue;
import org.logophon.app.services.rendering.JobRetry;
import org.logophon.core.delivery.Slug;
import org.logophon.core.voice.finish.FinishSettings;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The service that starts, cancels and deletes deliveries. */
@Service
public class DeliveryService {

    /** The job, beside the service that schedules it. */
    @Configuration
    static class Job {
        @Bean
        OneTimeTask<Void> deliveryTask(ObjectProvider<PackageBuilder> builder) {
            return Tasks.oneTime("build-delivery")
                    .onFailure(JobRetry.whileTheDatabaseIsAway(
                            id -> builder.getObject().giveUp(UUID.fromString(id))))
                    .execute((instance, context) -> builder.getObject().run(UUID.fromString(instance.getId())));
        }
    }

    private final Projects projects;
    private final ProjectRepository table;
    private final DeliveryRepository deliveries;
    private final ChoiceRepository choices;
    private final JobQueue jobs;
    private final OneTimeTask<Void> task;

    DeliveryService(
            Projects projects,
            ProjectRepository table,
            DeliveryRepository deliveries,
            ChoiceRepository choices,
            JobQueue jobs,
            OneTimeTask<Void> deliveryTask) {
        this.projects = projects;
        this.table = table;
        this.deliveries = deliveries;
        this.choices = choices;
        this.jobs = jobs;
        this.task = deliveryTask;
    }

    /** @throws Refused with a sentence when nothing can be delivered or one is being built */
    @Transactional
    public void build(UUID id, String namePattern, Double targetLufs, Choice choice) {
        projects.require(id);
        table.hold(id);
        FinishSettings.to(targetLufs);
        table.freezeNumbers(id);
        ProjectView view = projects.view(id);
        if (choice.parts().isEmpty()) {
            throw new Refused("Choose at least one part.");
        }
        if (ClipNames.names(view, namePattern, choice.sound().kind().extension())
                .isEmpty()) {
            throw new Refused(
                    "No cue has a take yet. Render the cues first; the button stands at the top of every page.");
        }
        if (building(id)) {
            throw new Refused("A delivery of this project is being built already.");
        }
        table.setFinish(id, targetLufs, namePattern);
        choices.keep(id, choice);
        Delivery delivery = deliveries.create(
                id,
                Slug.of(view.project().name()),
                namePattern,
                targetLufs,
                choice,
                view.project().scriptVersion());
        jobs.add(task, List.of(delivery.id().toString()));
    }

    /** As another project delivers: its parts, its names and its loudness. */
    @Transactional
    public void buildLike(UUID id, UUID like) {
        Project as = projects.require(like);
        build(id, as.namePattern(), as.targetLufs(), choices.of(like));
    }

    /** Every delivery of a project, whatever became of it. */
    public List<Delivery> of(UUID project) {
        return deliveries.of(project);
    }

    /** How many are built. */
    public int built(UUID project) {
        return (int) deliveries.of(project).stream().filter(Delivery::ready).count();
    }

    public boolean building(UUID project) {
        return deliveries.of(project).stream().anyMatch(Delivery::building);
    }

    public void cancel(UUID project) {
        deliveries.of(project).stream()
                .filter(Delivery::building)
                .forEach(d -> deliveries.end(d.id(), "cancelled", null, 0));
    }
}
