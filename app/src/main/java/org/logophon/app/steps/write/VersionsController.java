package org.logophon.app.steps.write;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.page.Ago;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.script.ScriptSaving;
import org.logophon.app.services.script.ScriptStateReader;
import org.logophon.app.services.script.ScriptVersions;
import org.logophon.core.text.script.TextDiff;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Every saved state of a script: seen, compared word by word, restored. */
@Controller
@RequestMapping("/projects/{id}/versions")
class VersionsController {

    private static final int MOST_SHOWN = 300;
    private static final int SAME_SHOWN = 160;

    private final Projects projects;
    private final ScriptVersions versions;
    private final ScriptSaving saving;
    private final ScriptStateReader states;
    private final Clock clock;

    VersionsController(
            Projects projects, ScriptVersions versions, ScriptSaving saving, ScriptStateReader states, Clock clock) {
        this.projects = projects;
        this.versions = versions;
        this.saving = saving;
        this.states = states;
        this.clock = clock;
    }

    /** A row of the list. */
    record VersionRow(String address, String title, String when, int words, boolean now) {}

    @GetMapping
    String list(@PathVariable UUID id, Model model) {
        Project project = projects.require(id);
        model.addAttribute("project", project);
        model.addAttribute(
                "rows",
                versions.of(id, MOST_SHOWN).stream()
                        .map(line -> new VersionRow(
                                "/projects/" + id + "/versions/" + line.version(),
                                line.version() + " · " + line.what(),
                                Ago.of(line.at(), clock.instant()),
                                line.words(),
                                line.version() == project.scriptVersion()))
                        .toList());
        model.addAttribute(
                "drafts",
                versions.drafts(id).stream()
                        .map(draft -> new VersionRow(
                                "/projects/" + id + "/versions/drafts/" + draft.id(),
                                "Not saved, kept aside",
                                Ago.of(draft.at(), clock.instant()),
                                draft.words(),
                                false))
                        .toList());
        model.addAttribute("count", versions.count(id));
        return "rail :: versions";
    }

    @GetMapping("/{version}")
    String compare(@PathVariable UUID id, @PathVariable int version, Model model) {
        ScriptVersions.State state =
                versions.find(id, version).orElseThrow(() -> new NotFound("This version isn't there any more."));
        return compared(id, state.text(), "Version " + version, "/projects/" + id + "/versions/" + version, model);
    }

    @GetMapping("/drafts/{draft}")
    String compareDraft(@PathVariable UUID id, @PathVariable UUID draft, Model model) {
        String text = versions.draft(id, draft).orElseThrow(() -> new NotFound("This draft isn't there any more."));
        return compared(id, text, "Text that was kept aside", "/projects/" + id + "/versions/drafts/" + draft, model);
    }

    private String compared(UUID id, String text, String title, String address, Model model) {
        Project project = projects.require(id);
        model.addAttribute("project", project);
        model.addAttribute("title", title);
        model.addAttribute("address", address);
        List<TextDiff.Segment> pieces = TextDiff.of(text, project.script()).pieces();
        model.addAttribute(
                "pieces", pieces.stream().map(VersionsController::shortened).toList());
        model.addAttribute("same", pieces.stream().allMatch(piece -> piece.kind() == TextDiff.Kind.SAME));
        return "rail :: compare";
    }

    /** Long stretches that stayed the same show their ends. */
    private static TextDiff.Segment shortened(TextDiff.Segment piece) {
        String text = piece.text();
        return piece.kind() != TextDiff.Kind.SAME || text.length() <= 3 * SAME_SHOWN
                ? piece
                : new TextDiff.Segment(
                        piece.kind(),
                        text.substring(0, SAME_SHOWN) + "\n …\n" + text.substring(text.length() - SAME_SHOWN));
    }

    @PostMapping("/{from}/restore")
    @ResponseBody
    Object restore(@PathVariable UUID id, @PathVariable int from, @RequestParam int version) {
        return states.withText(id, saving.restore(id, from, version));
    }

    @PostMapping("/drafts/{draft}/restore")
    @ResponseBody
    Object restoreDraft(@PathVariable UUID id, @PathVariable UUID draft, @RequestParam int version) {
        String text = versions.draft(id, draft).orElseThrow(() -> new NotFound("This draft isn't there any more."));
        return states.withText(id, saving.save(id, text, version, "Draft restored"));
    }
}
