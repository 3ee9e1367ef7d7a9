package org.logophon.app.steps.shelf;

import java.util.UUID;
import org.logophon.app.platform.disk.NeedsNoRoom;
import org.logophon.app.platform.people.Visits;
import org.logophon.app.platform.web.DoneOnce;
import org.logophon.app.services.hired.HiredAccess;
import org.logophon.app.services.page.TargetTime;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectCopy;
import org.logophon.app.services.project.ProjectName;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.Projects;
import org.logophon.speech.heard.Recogniser;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The shelf: every project, and what can be done with one as a whole. */
@Controller
class ShelfController {

    private final Shelf shelf;
    private final ProjectRepository table;
    private final Projects projects;
    private final ProjectCopy copies;
    private final HiredAccess hired;
    private final Visits visits;

    ShelfController(
            Shelf shelf,
            ProjectRepository table,
            Projects projects,
            ProjectCopy copies,
            HiredAccess hired,
            Visits visits) {
        this.shelf = shelf;
        this.table = table;
        this.projects = projects;
        this.copies = copies;
        this.hired = hired;
        this.visits = visits;
    }

    @GetMapping({"/", "/workspaces/{workspace}"})
    String page(@RequestParam(required = false) UUID deleted, Model model) {
        model.addAttribute("shown", shelf.shown("", false));
        model.addAttribute("every", false);
        model.addAttribute("gone", shelf.deleted());
        model.addAttribute("deleted", deleted);
        model.addAttribute("hiring", hired.service().isPresent());
        model.addAttribute("memberships", visits.memberships());
        model.addAttribute("unheard", Recogniser.missing());
        return "shelf";
    }

    private String home() {
        return visits.house().isEmpty() ? "/" : visits.house();
    }

    /** The list by itself, for a page that follows it. */
    @GetMapping({"/shelf", "/workspaces/{workspace}/shelf"})
    String list(
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "false") boolean every,
            Model model) {
        model.addAttribute("shown", shelf.shown(find, every));
        model.addAttribute("every", every);
        model.addAttribute("gone", shelf.deleted());
        return "shelf :: projects";
    }

    @DoneOnce
    @PostMapping({"/projects", "/workspaces/{workspace}/projects"})
    String create(@RequestParam(defaultValue = "") String name, @RequestParam(defaultValue = "") String target) {
        Project project =
                table.create(visits.workspace(), ProjectName.checked(name), "en-GB", TargetTime.parse(target));
        return "redirect:/projects/" + project.id() + "/write";
    }

    @PostMapping("/projects/{id}/name")
    String rename(@PathVariable UUID id, @RequestParam(defaultValue = "") String name) {
        projects.require(id);
        table.rename(id, ProjectName.checked(name));
        return "redirect:" + home();
    }

    @DoneOnce
    @PostMapping("/projects/{id}/duplicate")
    String duplicate(@PathVariable UUID id) {
        copies.copy(id, "copy");
        return "redirect:" + home();
    }

    @NeedsNoRoom
    @PostMapping("/projects/{id}/delete")
    String delete(@PathVariable UUID id) {
        table.setDeleted(id, true);
        return "redirect:" + home() + "?deleted=" + id;
    }

    @PostMapping("/projects/{id}/restore")
    String restore(@PathVariable UUID id) {
        table.setDeleted(id, false);
        return "redirect:" + home();
    }
}
