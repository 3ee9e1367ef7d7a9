package org.logophon.app.steps.deliver;

import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.deliveries.ProjectCaptions;
import org.logophon.app.services.project.Projects;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Captions of a project: read, and corrected without touching the script. */
@Controller
@RequestMapping("/projects/{id}/deliver/captions")
class CaptionController {

    private final Projects projects;
    private final ProjectCaptions captions;

    CaptionController(Projects projects, ProjectCaptions captions) {
        this.projects = projects;
        this.captions = captions;
    }

    @GetMapping
    String list(@PathVariable UUID id, Model model) {
        model.addAttribute("project", projects.require(id));
        model.addAttribute("captions", captions.of(projects.view(id)));
        return "captions";
    }

    /** @throws Refused with a sentence when it can't be a caption */
    @PostMapping("/{cue}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void correct(@PathVariable UUID id, @PathVariable UUID cue, @RequestParam(defaultValue = "") String shown) {
        projects.require(id);
        captions.correct(id, cue, shown);
    }
}
