package org.logophon.app.steps.write;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import org.logophon.app.services.page.Durations;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Words, characters, syllables and time: of the project, of each scene, of each role. */
@Controller
class CountsController {

    private final Projects projects;

    CountsController(Projects projects) {
        this.projects = projects;
    }

    /** @param letters characters without spaces */
    record Count(String name, int cues, int words, int characters, int letters, int syllables, String time) {}

    @GetMapping("/projects/{id}/counts")
    String counts(@PathVariable UUID id, Model model) {
        ProjectView view = projects.view(id);
        model.addAttribute("project", view.project());
        model.addAttribute("whole", count("The whole script", view.cues(), view.seconds()));
        model.addAttribute(
                "scenes",
                grouped(
                        view,
                        cue -> cue.cue().scene().isEmpty()
                                ? "Before the first scene"
                                : cue.cue().scene()));
        model.addAttribute("roles", grouped(view, cue -> cue.cue().role()));
        model.addAttribute(
                "target",
                view.project().targetSeconds() == null
                        ? null
                        : Durations.clock(view.project().targetSeconds()));
        long measured = view.cues().stream().filter(CueView::measured).count();
        model.addAttribute(
                "measured",
                measured == 0
                        ? "Times are estimates."
                        : measured == view.cues().size()
                                ? "Times are measured on takes."
                                : measured + " of " + view.cues().size()
                                        + " times are measured on takes, the others are estimates.");
        return "rail :: counts";
    }

    private static List<Count> grouped(ProjectView view, Function<CueView, String> by) {
        Map<String, List<CueView>> groups = new LinkedHashMap<>();
        view.cues()
                .forEach(cue -> groups.computeIfAbsent(by.apply(cue), name -> new ArrayList<>())
                        .add(cue));
        List<Count> counts = new ArrayList<>();
        groups.forEach((name, cues) -> counts.add(
                count(name, cues, cues.stream().mapToDouble(CueView::seconds).sum())));
        return counts;
    }

    private static Count count(String name, List<CueView> cues, double seconds) {
        int characters = 0;
        int letters = 0;
        for (CueView cue : cues) {
            String text = cue.cue().text();
            characters += text.codePointCount(0, text.length());
            letters += (int)
                    text.codePoints().filter(c -> !Character.isWhitespace(c)).count();
        }
        return new Count(
                name,
                cues.size(),
                cues.stream().mapToInt(c -> c.cue().words()).sum(),
                characters,
                letters,
                cues.stream().mapToInt(c -> c.cue().syllables()).sum(),
                Durations.clock(seconds));
    }
}
