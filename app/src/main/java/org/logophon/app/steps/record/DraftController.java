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
import org.logophon.app.services.page.TypedTime;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectName;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.time.coding.Stretch;
import org.logophon.speech.heard.Recogniser;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A project from a recording alone. */
@RestController
class DraftController {

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

    /**
     * The recording itself, as it comes.
     *
     * @param project name of it; empty for the file's
     * @param from    where the speech begins in the recording, as typed; empty for its start
     * @param to      where it ends
     * @return the page on which its words come to be
     */
    @Costly
    @DoneOnce
    @PostMapping({"/drafts", "/workspaces/{workspace}/drafts"})
    AddressAnswer draft(
            @RequestParam String name,
            @RequestParam(defaultValue = "") String project,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to,
            InputStream sent)
            throws IOException {
        if (!Recogniser.missing().isEmpty()) {
            throw new Refused(Recogniser.missing());
        }
        String called = project.isBlank() ? "Draft: " + name : project;
        String checked = ProjectName.checked(
                project.isBlank() ? called.substring(0, Math.min(Project.LONGEST_NAME, called.length())) : called);
        Integer begin = TypedTime.seconds(from, "The start");
        Integer end = TypedTime.seconds(to, "The end");
        return files.read(sent, name, sound -> {
            SoundSource speech = stretch(sound, name, begin, end);
            UUID made =
                    projects.create(visits.workspace(), checked, "en-US", null).id();
            uploads.addDraft(made, name, speech);
            return new AddressAnswer("/projects/" + made + "/record");
        });
    }

    private static SoundSource stretch(SoundSource sound, String name, Integer from, Integer to) {
        long begin = from == null ? 0 : (long) from * sound.rate();
        long end = to == null ? sound.length() : Math.min(sound.length(), (long) to * sound.rate());
        if (begin >= end) {
            throw new Refused("There is nothing from the start to the end that you typed. " + name + " is "
                    + sound.length() / sound.rate() + " s long.");
        }
        return begin == 0 && end == sound.length() ? sound : new Stretch(sound, begin, end);
    }
}
