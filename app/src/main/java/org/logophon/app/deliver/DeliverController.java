package org.logophon.app.deliver;

import java.util.List;
import java.util.UUID;
import org.logophon.app.disk.NeedsNoRoom;
import org.logophon.app.page.ProjectPage;
import org.logophon.app.page.Step;
import org.logophon.app.project.CueState;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.Projects;
import org.logophon.app.web.NotFound;
import org.logophon.app.web.Refused;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.TypedNumber;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** The Deliver step. */
@Controller
@RequestMapping("/projects/{id}")
class DeliverController {

    private final Projects projects;
    private final ProjectPage page;
    private final DeliveryService delivering;
    private final DeliveryRepository deliveries;

    DeliverController(Projects projects, ProjectPage page, DeliveryService delivering, DeliveryRepository deliveries) {
        this.projects = projects;
        this.page = page;
        this.delivering = delivering;
        this.deliveries = deliveries;
    }

    @GetMapping("/deliver")
    String page(@PathVariable UUID id, Model model) {
        fill(id, model);
        return "deliver";
    }

    /** Cues that will be missing, and those whose kept take is an older one. */
    @GetMapping("/deliver/left-out")
    String leftOut(@PathVariable UUID id, Model model) {
        fill(id, model);
        return "deliver :: leftout";
    }

    /** How files will be called, while the pattern is typed. */
    @GetMapping("/deliver/names")
    String names(@PathVariable UUID id, @RequestParam(defaultValue = "") String pattern, Model model) {
        preview(projects.view(id), pattern, model);
        return "deliver :: names";
    }

    @GetMapping("/deliveries")
    String list(@PathVariable UUID id, Model model) {
        fill(id, model);
        return "deliver :: deliveries";
    }

    @PostMapping("/deliveries")
    String build(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String pattern,
            @RequestParam String target,
            Model model) {
        try {
            delivering.build(id, pattern, "off".equals(target) ? null : loudness(target));
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

    @GetMapping("/deliveries/{delivery}/file")
    ResponseEntity<StreamingResponseBody> download(@PathVariable UUID id, @PathVariable UUID delivery) {
        Delivery found = deliveries
                .find(delivery)
                .filter(d -> d.projectId().equals(id) && d.ready())
                .orElseThrow(() -> new NotFound("This delivery isn't there. The Deliver page lists those that are."));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/zip"))
                .contentLength(found.bytes())
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(found.fileName())
                                .build()
                                .toString())
                .body(out -> deliveries.copyTo(delivery, out));
    }

    private static Double loudness(String target) {
        Double lufs = TypedNumber.read("The target loudness in LUFS", target);
        if (lufs == null) {
            throw new Refused("Choose a target loudness, or off.");
        }
        return lufs;
    }

    private void fill(UUID id, Model model) {
        ProjectView view = projects.view(id);
        page.fill(model, view, Step.DELIVER);
        model.addAttribute("deliveries", deliveries.of(id));
        model.addAttribute(
                "missing",
                view.cues().stream().filter(c -> c.keptTake() == null).toList());
        model.addAttribute(
                "changed",
                view.cues().stream()
                        .filter(c -> c.keptTake() != null && c.state() != CueState.READY)
                        .toList());
        preview(view, view.project().namePattern(), model);
    }

    private static void preview(ProjectView view, String pattern, Model model) {
        try {
            List<String> all = ClipNames.names(view, pattern).values().stream().toList();
            model.addAttribute("names", all.subList(0, Math.min(6, all.size())));
            model.addAttribute("more", Math.max(0, all.size() - 6));
        } catch (InvalidInput e) {
            model.addAttribute("patternProblem", e.getMessage());
        }
    }
}
