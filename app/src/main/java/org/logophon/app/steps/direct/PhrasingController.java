package org.logophon.app.steps.direct;

import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.DoneAnswer;
import org.logophon.app.services.direction.MarkService;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Projects;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.direction.phrasing.PhrasePart;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What phrasing does to a cue, made the user's own; and a script phrased that wasn't. */
@RestController
@RequestMapping("/projects/{id}")
class PhrasingController {

    private final Projects projects;
    private final MarkService scoring;
    private final DirectionService directing;

    PhrasingController(Projects projects, MarkService scoring, DirectionService directing) {
        this.projects = projects;
        this.scoring = scoring;
        this.directing = directing;
    }

    /** Marks in the place of one thing that phrasing does, as strong as it is there. @param move its id */
    @PostMapping("/cues/{cue}/phrasing/own")
    DoneAnswer own(
            @PathVariable UUID id,
            @PathVariable UUID cue,
            @RequestParam int start,
            @RequestParam int end,
            @RequestParam String move) {
        CueView view = projects.cue(id, cue);
        PhrasePart part = PhrasedCue.parts(view).stream()
                .filter(one -> one.start() == start
                        && one.end() == end
                        && one.move().id().equals(move))
                .findFirst()
                .orElseThrow(() -> new Refused("This isn't how the cue is phrased any more. Reload the page."));
        List<Instruction> instructions = part.move().instructions();
        if (instructions.isEmpty()) {
            throw new Refused("Nothing of this can be a mark: the voice stays as it is there.");
        }
        scoring.change(id, List.of(view), "phrasing made a mark", (text, marks) -> {
            Marks all = marks;
            for (Instruction instruction : instructions) {
                all = all.with(Mark.own(start, end, instruction), text);
            }
            return all;
        });
        return new DoneAnswer();
    }

    /** Phrases the whole script in full. @param version of its direction */
    @PostMapping("/phrasing")
    DoneAnswer phrase(@PathVariable UUID id, @RequestParam int version) {
        directing.phrase(id, version);
        return new DoneAnswer();
    }
}
