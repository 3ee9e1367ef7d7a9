package org.logophon.app.deliver;

import java.util.Map;
import java.util.UUID;
import org.logophon.app.disk.NeedsNoRoom;
import org.logophon.app.page.ProjectPage;
import org.logophon.app.page.Step;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.Projects;
import org.logophon.app.web.Refused;
import org.logophon.core.delivery.part.CaptionsPart;
import org.logophon.core.delivery.part.Parts;
import org.logophon.core.input.InvalidInput;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** The Deliver step: what goes in, what it will hold, and building it. */
@Controller
@RequestMapping("/projects/{id}")
class DeliverController {

    private static final Map<String, String> CAPTIONS =
            Map.of("srt", "SubRip", "vtt", "WebVTT", "ttml", "TTML", "words", "word by word");

    private final Projects projects;
    private final ProjectPage page;
    private final DeliveryService delivering;
    private final DeliveryRepository deliveries;
    private final ChoiceRepository choices;
    private final SetRepository sets;
    private final BeforeItGoes before;
    private final DeliveryContents contents;
    private final DeliveryFolder folder;

    DeliverController(
            Projects projects,
            ProjectPage page,
            DeliveryService delivering,
            DeliveryRepository deliveries,
            ChoiceRepository choices,
            SetRepository sets,
            BeforeItGoes before,
            DeliveryContents contents,
            DeliveryFolder folder) {
        this.projects = projects;
        this.page = page;
        this.delivering = delivering;
        this.deliveries = deliveries;
        this.choices = choices;
        this.sets = sets;
        this.before = before;
        this.contents = contents;
        this.folder = folder;
    }

    @GetMapping("/deliver")
    String page(@PathVariable UUID id, Model model) {
        ProjectView view = projects.view(id);
        page.fill(model, view, Step.DELIVER);
        Choice choice = choices.of(id);
        model.addAttribute("choice", choice);
        model.addAttribute("sets", sets.all());
        model.addAttribute("allParts", Parts.ALL);
        model.addAttribute(
                "captionKinds",
                CaptionsPart.KINDS.stream()
                        .map(kind -> Map.entry(kind, CAPTIONS.get(kind)))
                        .toList());
        concerns(view, model);
        deliveries(id, model);
        holds(view, choice, view.project().namePattern(), view.project().targetLufs(), model);
        return "deliver";
    }

    /** What one would want to know before it goes. */
    @GetMapping("/deliver/left-out")
    String leftOut(@PathVariable UUID id, Model model) {
        concerns(projects.view(id), model);
        model.addAttribute("project", projects.require(id));
        return "deliver :: leftout";
    }

    /** What it will hold, while the form is changed. */
    @GetMapping("/deliver/contents")
    String contents(@PathVariable UUID id, @ModelAttribute ChoiceForm form, Model model) {
        ProjectView view = projects.view(id);
        try {
            holds(view, form.choice(choices.of(id)), form.pattern(), form.lufs(), model);
        } catch (Refused | InvalidInput e) {
            model.addAttribute("formProblem", e.getMessage());
        }
        return "deliver :: contents";
    }

    @GetMapping("/deliveries")
    String list(@PathVariable UUID id, Model model) {
        model.addAttribute("project", projects.require(id));
        deliveries(id, model);
        return "deliver :: deliveries";
    }

    @PostMapping("/deliveries")
    String build(@PathVariable UUID id, @ModelAttribute ChoiceForm form, Model model) {
        try {
            delivering.build(
                    id, form.pattern() == null ? "" : form.pattern(), form.lufs(), form.choice(choices.of(id)));
        } catch (Refused | InvalidInput e) {
            model.addAttribute("problem", e.getMessage());
        }
        return list(id, model);
    }

    @NeedsNoRoom
    @PostMapping("/deliveries/cancel")
    String cancel(@PathVariable UUID id, Model model) {
        delivering.cancel(id);
        return list(id, model);
    }

    private void concerns(ProjectView view, Model model) {
        model.addAttribute("concerns", before.of(view));
    }

    private void deliveries(UUID id, Model model) {
        model.addAttribute("deliveries", deliveries.of(id));
        model.addAttribute("intoFolder", folder.offered());
    }

    private void holds(ProjectView view, Choice choice, String pattern, Double lufs, Model model) {
        try {
            model.addAttribute("holds", contents.of(view, choice, pattern, lufs));
        } catch (InvalidInput e) {
            model.addAttribute("formProblem", e.getMessage());
        }
    }
}
