package org.logophon.app.steps.write;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.page.Durations;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectTempo;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.ScriptParsing;
import org.logophon.app.services.project.ScriptShape;
import org.logophon.app.services.script.DeliveryHistory;
import org.logophon.app.services.script.ScriptSaving;
import org.logophon.app.services.script.ScriptStateReader;
import org.logophon.core.text.estimate.ReferenceTime;
import org.logophon.core.text.script.CueNumbers;
import org.logophon.core.text.script.HandCuts;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.text.script.Splitting;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** How a script falls into cues: the way, cuts by hand, numbers; undo and redo of all of it. */
@RestController
@RequestMapping("/projects/{id}/script")
class ShapeController {

    private static final int MOST_SHOWN = 60;

    private final Projects projects;
    private final ScriptParsing scripts;
    private final ScriptSaving saving;
    private final ScriptStateReader states;
    private final DeliveryHistory delivered;
    private final ProjectTempo voices;

    ShapeController(
            Projects projects,
            ScriptSaving saving,
            ScriptStateReader states,
            DeliveryHistory delivered,
            ScriptParsing scripts,
            ProjectTempo voices) {
        this.voices = voices;
        this.scripts = scripts;
        this.projects = projects;
        this.saving = saving;
        this.states = states;
        this.delivered = delivered;
    }

    /** What a way of splitting would make, before it is taken. */
    record SplitPreview(int cues, String longest, List<String> forced, List<CuePreview> lines) {}

    /** @param seconds estimated */
    record CuePreview(String start, String seconds) {}

    @GetMapping("/split")
    SplitPreview preview(@PathVariable UUID id, @RequestParam String way, @RequestParam(defaultValue = "0") int limit) {
        ProjectView view = projects.view(id);
        Project project = view.project();
        double tempo = voices.of(view);
        Script script = scripts.of(
                project.script(), project.shape().with(splitting(way, limit).at(tempo)), project.language());
        double longest = 0;
        List<CuePreview> lines = new ArrayList<>();
        for (ScriptCue cue : script.cues()) {
            double seconds = ReferenceTime.seconds(cue.text(), project.language()) * tempo;
            longest = Math.max(longest, seconds);
            if (lines.size() < MOST_SHOWN) {
                lines.add(new CuePreview(
                        cue.text().length() > 160 ? cue.text().substring(0, 158) + "…" : cue.text(),
                        Durations.brief(seconds)));
            }
        }
        List<String> forced = script.forced().stream()
                .map(i -> "Cue " + project.shape().numbers().at(i) + " ends inside a sentence that is over the size.")
                .toList();
        return new SplitPreview(script.cues().size(), Durations.brief(longest), forced, lines);
    }

    @PostMapping("/split")
    Object split(
            @PathVariable UUID id,
            @RequestParam String way,
            @RequestParam(defaultValue = "0") int limit,
            @RequestParam int version) {
        ProjectView view = projects.view(id);
        Splitting splitting = splitting(way, limit).at(voices.of(view));
        ScriptShape shape = view.project().shape().with(splitting);
        return shaped(id, shape, version, "New cue at " + splitting.mode().title());
    }

    /** A cut at the word that stands at or after a place of the text. */
    @PostMapping("/cut")
    Object cut(@PathVariable UUID id, @RequestParam int place, @RequestParam int version) {
        ProjectView view = projects.view(id);
        Script script = scripts.of(view.project());
        ScriptCue cue = script.cues().stream()
                .filter(c -> c.sourceAt(0) < place && place < c.end())
                .findFirst()
                .orElseThrow(
                        () -> new Refused("There is nothing to split here. Put the caret before a word inside a cue."));
        int word = cue.words().stream()
                .map(w -> cue.sourceAt(w.start()))
                .filter(p -> p >= place)
                .findFirst()
                .orElseThrow(() -> new Refused("No word follows in this cue. Put the caret before a word inside it."));
        return change(id, view.project(), view.project().shape().cuts().split(word), version, "Split by hand");
    }

    /** Joins the cue at a place to the one before it. */
    @PostMapping("/join")
    Object join(@PathVariable UUID id, @RequestParam int place, @RequestParam int version) {
        ProjectView view = projects.view(id);
        List<ScriptCue> cues = scripts.of(view.project()).cues();
        for (int i = 1; i < cues.size(); i++) {
            ScriptCue cue = cues.get(i);
            if (cue.start() <= place && place <= cue.end()) {
                ScriptCue before = cues.get(i - 1);
                if (!before.role().equals(cue.role()) || !before.scene().equals(cue.scene())) {
                    throw new Refused("Only cues of one role and one scene can be joined.");
                }
                return change(
                        id,
                        view.project(),
                        view.project().shape().cuts().join(cue.sourceAt(0)),
                        version,
                        "Joined by hand");
            }
        }
        throw new Refused("There is no cue before this one.");
    }

    private Object change(UUID id, Project project, HandCuts cuts, int version, String what) {
        return shaped(id, project.shape().with(cuts), version, what);
    }

    private Object shaped(UUID id, ScriptShape shape, int version, String what) {
        return states.after(id, saving.shape(id, shape, version, what), version + 1);
    }

    @PostMapping("/numbers")
    Object numbers(
            @PathVariable UUID id,
            @RequestParam int start,
            @RequestParam int step,
            @RequestParam int width,
            @RequestParam(defaultValue = "") String prefix,
            @RequestParam int version) {
        if (delivered.ever(id)) {
            throw new Refused(
                    "Cues of this project were delivered, so their numbers stay. New cues get numbers between them.");
        }
        if (!prefix.matches("[\\p{L}\\p{N}_-]{0,%d}".formatted(CueNumbers.LONGEST_PREFIX))) {
            throw new Refused("A prefix has up to " + CueNumbers.LONGEST_PREFIX + " letters, figures, - or _.");
        }
        ScriptShape shape = projects.require(id)
                .shape()
                .with(new CueNumbers(start, step, width, prefix))
                .frozen(false);
        return shaped(id, shape, version, "Numbered anew");
    }

    @PostMapping("/undo")
    Object undo(@PathVariable UUID id, @RequestParam int version) {
        return states.withText(id, saving.step(id, true, version));
    }

    @PostMapping("/redo")
    Object redo(@PathVariable UUID id, @RequestParam int version) {
        return states.withText(id, saving.step(id, false, version));
    }

    private static Splitting splitting(String way, int limit) {
        return Splitting.parse(
                limit > 0 && List.of("characters", "words", "seconds").contains(way) ? way + ":" + limit : way);
    }
}
