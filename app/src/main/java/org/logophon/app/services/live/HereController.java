package org.logophon.app.services.live;

import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.disk.NeedsNoRoom;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.people.Visits;
import org.logophon.app.services.project.ProjectParts;
import org.logophon.app.services.project.Projects;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The answers about who else has a project open, and on which cue. */
@RestController
@RequestMapping("/projects/{id}/here")
class HereController {

    private static final int LONGEST_STEP = 20;

    private final Presence here;
    private final Projects projects;
    private final ProjectParts parts;
    private final Visits visits;

    HereController(Presence here, Projects projects, ProjectParts parts, Visits visits) {
        this.here = here;
        this.projects = projects;
        this.parts = parts;
        this.visits = visits;
    }

    /** @param page the window's own id @param step the page that it shows @return the others */
    @NeedsNoRoom
    @PostMapping
    List<Presence.Window> here(
            @PathVariable UUID id,
            @RequestParam UUID page,
            @RequestParam String step,
            @RequestParam(required = false) UUID cue) {
        projects.require(id);
        if (!step.matches("[a-z]{1," + LONGEST_STEP + "}")) {
            throw new Refused("There is no page of that name.");
        }
        // one that has just left the script is no reason to say no
        here.seen(page, id, step, cue != null && parts.belongs("cue", cue, id) ? cue : null, visits.name());
        return here.others(page, id);
    }

    @NeedsNoRoom
    @PostMapping("/leave")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(@PathVariable UUID id, @RequestParam UUID page) {
        here.left(page, id);
    }
}
