package org.logophon.app.services.page;

import java.util.UUID;
import org.logophon.app.platform.disk.NeedsNoRoom;
import org.logophon.app.platform.failure.PriceFirst;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.rendering.RenderService;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Rendering what changed, from any page of a project, with its progress in the header. */
@Controller
@RequestMapping("/projects/{id}/render")
class ProjectHeaderController {

    private final Projects projects;
    private final RenderService rendering;
    private final ProjectPage page;

    ProjectHeaderController(Projects projects, RenderService rendering, ProjectPage page) {
        this.page = page;
        this.projects = projects;
        this.rendering = rendering;
    }

    /** What costs is rendered when its price was agreed to; until then the head shows it. */
    @PostMapping
    String renderChanged(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "WRITE") Step step,
            @RequestParam(defaultValue = "0") int agreed,
            Model model) {
        try {
            rendering.renderChanged(id, agreed);
        } catch (PriceFirst price) {
            model.addAttribute("price", price);
            model.addAttribute("priced", price.getMessage());
            model.addAttribute("withoutPrice", rendering.countFree(id));
        } catch (Refused over) {
            model.addAttribute("priced", over.getMessage());
            model.addAttribute("withoutPrice", rendering.countFree(id));
        }
        return head(id, step, model);
    }

    @PostMapping("/free")
    String renderFree(@PathVariable UUID id, @RequestParam(defaultValue = "WRITE") Step step, Model model) {
        rendering.renderFree(id);
        return head(id, step, model);
    }

    @NeedsNoRoom
    @PostMapping("/cancel")
    String cancel(@PathVariable UUID id, @RequestParam(defaultValue = "WRITE") Step step, Model model) {
        rendering.cancel(id);
        return head(id, step, model);
    }

    @NeedsNoRoom
    @PostMapping("/pause")
    String pause(@PathVariable UUID id, @RequestParam(defaultValue = "WRITE") Step step, Model model) {
        rendering.pause(id);
        return head(id, step, model);
    }

    @PostMapping("/go-on")
    String goOn(@PathVariable UUID id, @RequestParam(defaultValue = "WRITE") Step step, Model model) {
        rendering.goOn(id);
        return head(id, step, model);
    }

    /** The page's head as it is now: progress, path, running time. */
    @GetMapping
    String head(@PathVariable UUID id, @RequestParam(defaultValue = "WRITE") Step step, Model model) {
        page.fill(model, projects.view(id), step);
        return "project :: top";
    }
}
