package org.logophon.app.steps.deliver;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.disk.NeedsNoRoom;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.Costly;
import org.logophon.app.services.deliveries.Choice;
import org.logophon.app.services.deliveries.ChoiceRepository;
import org.logophon.app.services.deliveries.DeliveredFiles;
import org.logophon.app.services.deliveries.DeliveredProject;
import org.logophon.app.services.deliveries.DeliveredProject.ClipOptions;
import org.logophon.app.services.deliveries.DeliveredProject.Prepared;
import org.logophon.app.services.deliveries.Delivery;
import org.logophon.app.services.deliveries.DeliveryContents;
import org.logophon.app.services.deliveries.DeliveryFolder;
import org.logophon.app.services.deliveries.DeliveryRepository;
import org.logophon.app.services.deliveries.DeliveryService;
import org.logophon.app.services.deliveries.Earlier;
import org.logophon.app.services.page.ProjectPage;
import org.logophon.app.services.page.Step;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
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
    private final DeliveredProject prepare;
    private final CaptionSpeeds speeds;
    private final DeliveredFiles files;
    private final DeliveryFolder folder;

    DeliverController(
            Projects projects,
            ProjectPage page,
            DeliveryService delivering,
            DeliveryRepository deliveries,
            ChoiceRepository choices,
            SetRepository sets,
            DeliveredProject prepare,
            CaptionSpeeds speeds,
            DeliveredFiles files,
            DeliveryFolder folder) {
        this.projects = projects;
        this.page = page;
        this.delivering = delivering;
        this.deliveries = deliveries;
        this.choices = choices;
        this.sets = sets;
        this.prepare = prepare;
        this.speeds = speeds;
        this.files = files;
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
        // what it will hold is much work for a long script: the page asks for it once it is there
        deliveries(id, model);
        return "deliver";
    }

    /** What one would want to know before it goes. */
    @GetMapping("/deliver/left-out")
    String leftOut(@PathVariable UUID id, Model model) {
        ProjectView view = projects.view(id);
        Earlier earlier = Earlier.of(deliveries.of(id), files);
        Prepared now = kept(view, choices.of(id));
        model.addAttribute("concerns", DeliveryChecks.of(now, earlier, speeds.fast(now)));
        model.addAttribute("project", projects.require(id));
        return "deliver :: leftout";
    }

    /** What it will hold, while the form is changed. */
    @GetMapping("/deliver/contents")
    String contents(@PathVariable UUID id, @ModelAttribute ChoiceForm form, Model model) {
        ProjectView view = projects.view(id);
        try {
            Choice choice = form.choice(choices.of(id));
            Prepared now = prepare.prepared(view, ClipOptions.of(form.pattern(), form.lufs(), choice));
            model.addAttribute("holds", DeliveryContents.of(now, choice, Earlier.of(deliveries.of(id), files)));
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

    @Costly
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

    private List<Delivery> deliveries(UUID id, Model model) {
        List<Delivery> all = deliveries.of(id);
        model.addAttribute("deliveries", all);
        model.addAttribute("intoFolder", folder.offered());
        return all;
    }

    /** As the project would be delivered with what is kept of the form. */
    private Prepared kept(ProjectView view, Choice choice) {
        return prepare.prepared(
                view,
                ClipOptions.of(view.project().namePattern(), view.project().targetLufs(), choice));
    }
}
