package org.logophon.app.steps.write;

import java.util.UUID;
import org.logophon.app.platform.failure.Stale;
import org.logophon.app.platform.web.AddressAnswer;
import org.logophon.app.services.page.ProjectPage;
import org.logophon.app.services.page.Step;
import org.logophon.app.services.page.TargetTime;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectCopy;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.script.ConflictAnswer;
import org.logophon.app.services.script.ScriptSaving;
import org.logophon.app.services.script.ScriptStateReader;
import org.logophon.app.services.script.ScriptVersions;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.SplitMode;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The Write step: the page, and saving what is typed. */
@Controller
@RequestMapping("/projects/{id}")
class WriteController {

    private final Projects projects;
    private final ProjectPage page;
    private final ProjectRepository table;
    private final ProjectCopy copies;
    private final ScriptSaving saving;
    private final ScriptStateReader states;
    private final ScriptVersions versions;

    WriteController(
            Projects projects,
            ProjectPage page,
            ProjectRepository table,
            ProjectCopy copies,
            ScriptSaving saving,
            ScriptStateReader states,
            ScriptVersions versions) {
        this.projects = projects;
        this.page = page;
        this.table = table;
        this.copies = copies;
        this.saving = saving;
        this.states = states;
        this.versions = versions;
    }

    /**
     * What a page sends: its whole text and the version it was made from.
     *
     * @param base the text that it was made from, where the page had gone on writing while it was brought together with
     *             somebody else's; null otherwise
     */
    record TypedScript(String text, int version, String base) {

        String words() {
            return text == null ? "" : text;
        }
    }

    @GetMapping("/write")
    String page(@PathVariable UUID id, Model model) {
        ProjectView view = projects.view(id);
        page.fill(model, view, Step.WRITE);
        model.addAttribute("longest", Script.MOST_CHARACTERS);
        model.addAttribute("splitModes", SplitMode.values());
        return "write";
    }

    /** @param text true for a page that wants the text too: its own may be old */
    @GetMapping("/script")
    @ResponseBody
    Object state(@PathVariable UUID id, @RequestParam(defaultValue = "false") boolean text) {
        return text ? states.withText(id, null) : states.of(id);
    }

    @PutMapping("/script")
    @ResponseBody
    Object save(@PathVariable UUID id, @RequestBody TypedScript draft) {
        try {
            ScriptSaving.Saved saved = saving.save(id, draft.words(), draft.version(), draft.base(), "Typed");
            return saved.merged()
                    ? states.withText(id, saved.report())
                    : states.after(id, saved.report(), saved.version());
        } catch (Stale stale) {
            Project theirs = projects.require(id);
            return ResponseEntity.status(HttpStatus.CONFLICT)
                    .body(new ConflictAnswer(stale.getMessage(), theirs.script(), theirs.scriptVersion()));
        }
    }

    /** Keeps a text that could not be saved among the versions, before its page shows the newest one. */
    @PostMapping("/script/draft")
    @ResponseBody
    DraftAnswer draft(@PathVariable UUID id, @RequestBody TypedScript draft) {
        projects.require(id);
        return new DraftAnswer(versions.keepDraft(id, draft.words()));
    }

    /** Keeps both: the text that could not be saved becomes a project of its own. */
    @PostMapping("/script/aside")
    @ResponseBody
    AddressAnswer aside(@PathVariable UUID id, @RequestBody TypedScript draft) {
        UUID copy = copies.copy(id, "second text");
        saving.save(copy, draft.words(), projects.require(copy).scriptVersion(), "Kept from another window");
        return new AddressAnswer("/projects/" + copy + "/write");
    }

    @PostMapping("/target")
    String target(@PathVariable UUID id, @RequestParam(defaultValue = "") String target) {
        projects.require(id);
        table.setTarget(id, TargetTime.parse(target));
        return "redirect:/projects/" + id + "/write";
    }
}
