package org.logophon.app.steps.record;

import java.io.IOException;
import java.io.InputStream;
import java.util.UUID;
import org.logophon.app.platform.audio.SoundFiles;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.people.Visits;
import org.logophon.app.platform.web.AddressAnswer;
import org.logophon.app.platform.web.Costly;
import org.logophon.app.platform.web.DoneOnce;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.speech.heard.Recogniser;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A project from a recording alone. */
@RestController
class DraftController {

    private static final int LONGEST_NAME = 100;

    private final ProjectRepository projects;
    private final Uploads uploads;
    private final SoundFiles files;
    private final Visits visits;

    DraftController(ProjectRepository projects, Uploads uploads, SoundFiles files, Visits visits) {
        this.projects = projects;
        this.uploads = uploads;
        this.files = files;
        this.visits = visits;
    }

    /** The recording itself, as it comes. @return the page on which its words come to be */
    @Costly
    @DoneOnce
    @PostMapping({"/drafts", "/workspaces/{workspace}/drafts"})
    AddressAnswer draft(@RequestParam String name, InputStream sent) throws IOException {
        if (!Recogniser.missing().isEmpty()) {
            throw new Refused(Recogniser.missing());
        }
        return files.read(sent, name, sound -> {
            String called = name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
            UUID project = projects.create(visits.workspace(), "Draft: " + called, "en-US", null)
                    .id();
            uploads.addDraft(project, name, sound);
            return new AddressAnswer("/projects/" + project + "/record");
        });
    }
}
