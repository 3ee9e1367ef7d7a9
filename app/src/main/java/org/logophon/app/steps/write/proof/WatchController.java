package org.logophon.app.steps.write.proof;

import java.util.Arrays;
import java.util.UUID;
import org.logophon.app.services.page.FieldLimits;
import org.logophon.app.services.project.Projects;
import org.logophon.core.review.proof.WatchWord;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The watch list: words to avoid, for every project. */
@Controller
@RequestMapping("/projects/{id}/watch")
class WatchController {

    private final Projects projects;
    private final WatchRepository watch;

    WatchController(Projects projects, WatchRepository watch) {
        this.projects = projects;
        this.watch = watch;
    }

    @GetMapping
    String list(@PathVariable UUID id, Model model) {
        model.addAttribute("project", projects.require(id));
        model.addAttribute("words", watch.all());
        return "rail :: watch";
    }

    @PostMapping
    String add(
            @PathVariable UUID id,
            @RequestParam String avoid,
            @RequestParam(defaultValue = "") String instead,
            @RequestParam(defaultValue = "") String note,
            Model model) {
        watch.put(new WatchWord(
                avoid,
                Arrays.asList(instead.split("[,;|]")),
                note.substring(0, Math.min(FieldLimits.WATCH_NOTE, note.length()))));
        return list(id, model);
    }

    @PostMapping("/{word}/remove")
    String remove(@PathVariable UUID id, @PathVariable UUID word, Model model) {
        watch.remove(word);
        return list(id, model);
    }
}
