package org.logophon.app.moving;

import java.util.UUID;
import org.logophon.app.deliver.DeliveryService;
import org.logophon.app.project.CueView;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.Projects;
import org.logophon.app.project.review.NoteRepository;
import org.logophon.app.project.take.TakeRepository;
import org.logophon.app.rendering.ProgrammeReader;
import org.logophon.app.web.Refused;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** Looks at a project as its pages do: what they couldn't show isn't let in. */
@Component
class Opened {

    private final Projects projects;
    private final ProgrammeReader programmes;
    private final TakeRepository takes;
    private final NoteRepository notes;
    private final DeliveryService deliveries;

    Opened(
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
            throw new Refused(
                    "This file is broken: something in it can't be shown. Save the project as a file once more, and bring that one in.");
        }
    }
}
