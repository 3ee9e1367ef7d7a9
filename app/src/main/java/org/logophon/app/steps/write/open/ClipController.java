package org.logophon.app.steps.write.open;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.AddressAnswer;
import org.logophon.app.services.project.Projects;
import org.logophon.app.steps.write.open.ReturnedClips.Returned;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/**
 * Delivered clips that come back. What they carry stands at their beginning: the page sends no more of them.
 */
@RestController
@RequestMapping("/projects/{id}/clips")
class ClipController {

    private static final int MOST_FILES = 100;

    private final Projects projects;
    private final ReturnedClips clips;

    ClipController(Projects projects, ReturnedClips clips) {
        this.projects = projects;
        this.clips = clips;
    }

    @PostMapping
    List<Returned> look(@PathVariable UUID id, @RequestParam List<MultipartFile> files) throws IOException {
        projects.require(id);
        check(files);
        List<Returned> found = new ArrayList<>();
        for (MultipartFile file : files) {
            found.add(clips.look(file));
        }
        return found;
    }

    /** @param how add (to this project), or project (one of their own) */
    @PostMapping("/again")
    AddressAnswer again(@PathVariable UUID id, @RequestParam List<MultipartFile> files, @RequestParam String how)
            throws IOException {
        check(files);
        return new AddressAnswer(clips.again(id, files, "project".equals(how)));
    }

    private static void check(List<MultipartFile> files) {
        if (files.isEmpty() || files.size() > MOST_FILES) {
            throw new Refused("Choose 1 to " + MOST_FILES + " clips at once.");
        }
    }
}
