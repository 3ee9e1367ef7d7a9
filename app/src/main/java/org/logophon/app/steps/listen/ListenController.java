package org.logophon.app.steps.listen;

import java.util.UUID;
import org.logophon.app.services.page.ProjectPage;
import org.logophon.app.services.page.Step;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.take.TakeChoice;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** The Listen step. */
@Controller
@RequestMapping("/projects/{id}/listen")
class ListenController {

    private final Projects projects;
    private final ProjectPage page;
    private final CueSheets sheets;

    ListenController(Projects projects, ProjectPage page, CueSheets sheets) {
        this.projects = projects;
        this.page = page;
        this.sheets = sheets;
    }

    /** Which cue is shown, and from where it is heard, the page's own address says. */
    @GetMapping
    String page(@PathVariable UUID id, Model model) {
        ProjectView view = projects.view(id);
        page.fill(model, view, Step.LISTEN);
        model.addAttribute(
                "scenes",
                view.cues().stream()
                        .map(cue -> cue.cue().scene())
                        .filter(scene -> !scene.isEmpty())
                        .distinct()
                        .toList());
        model.addAttribute("choices", TakeChoice.values());
        return "listen";
    }

    @GetMapping("/cues/{cue}")
    @ResponseBody
    CueSheets.Sheet cue(@PathVariable UUID id, @PathVariable UUID cue) {
        return sheets.of(id, cue);
    }
}
