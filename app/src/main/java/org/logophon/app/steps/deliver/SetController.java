package org.logophon.app.steps.deliver;

import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.deliveries.Choice;
import org.logophon.app.services.deliveries.ChoiceRepository;
import org.logophon.app.services.page.FieldLimits;
import org.logophon.app.services.project.Projects;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Sets of parts: shown, kept under a name, and taken away. */
@Controller
@RequestMapping("/projects/{id}/deliver/sets")
class SetController {

    private final Projects projects;
    private final SetRepository sets;
    private final ChoiceRepository choices;

    SetController(Projects projects, SetRepository sets, ChoiceRepository choices) {
        this.projects = projects;
        this.sets = sets;
        this.choices = choices;
    }

    @GetMapping
    String list(@PathVariable UUID id, Model model) {
        model.addAttribute("project", projects.require(id));
        model.addAttribute("sets", sets.all());
        return "deliver :: sets";
    }

    /** Keeps what is chosen now. @throws Refused with a sentence when the name won't do */
    @PostMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(
            @PathVariable UUID id,
            @RequestParam(name = "setName", defaultValue = "") String typed,
            @ModelAttribute ChoiceForm form) {
        projects.require(id);
        String name = typed.strip().replaceAll("\\s+", " ");
        if (name.isEmpty()
                || name.length() > FieldLimits.PART_SET_NAME
                || name.chars().anyMatch(Character::isISOControl)) {
            throw new Refused("Give the set a name of at most " + FieldLimits.PART_SET_NAME + " letters.");
        }
        if (Choice.SETS.stream().anyMatch(set -> set.label().equalsIgnoreCase(name))) {
            throw new Refused("The set \"" + name + "\" is built in. Choose another name.");
        }
        Choice choice = form.choice(choices.of(id));
        if (choice.parts().isEmpty()) {
            throw new Refused("Choose the parts first, then save the set.");
        }
        sets.keep(name, choice);
    }

    @PostMapping("/remove")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID id, @RequestParam(name = "setName", defaultValue = "") String name) {
        projects.require(id);
        sets.remove(name);
    }
}
