package org.logophon.app.steps.transfer;

import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.deliveries.DeliveryService;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.review.NoteRepository;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.rendering.ProgrammeReader;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** Looks at a project as its pages do: what they couldn't show isn't let in. */
@Component
class ImportedProjectCheck {

    private final Projects projects;
    private final ProgrammeReader programmes;
    private final TakeRepository takes;
    private final NoteRepository notes;
    private final DeliveryService deliveries;

    ImportedProjectCheck(
            Projects projects,
            ProgrammeReader programmes,
            TakeRepository takes,
            NoteRepository notes,
            DeliveryService deliveries) {
        this.projects = projects;
        this.programmes = programmes;
        this.takes = takes;
        this.notes = notes;
        this.deliveries = deliveries;
    }

    /** @throws Refused with a sentence when something of it can't be shown */
    void look(UUID project) {
        try {
            ProjectView view = projects.view(project);
            for (CueView cue : view.cues()) {
                takes.withDeleted(cue.id());
            }
            programmes.of(project);
            notes.of(project);
            deliveries.of(project);
        } catch (DataAccessException away) {
            throw away;
        } catch (RuntimeException unfit) {
            throw new Refused("This file is broken: something in it can't be shown. Export the project again, and "
                    + "import that file.");
        }
    }
}
