package org.logophon.app.steps.write;

import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.project.Cue;
import org.logophon.app.services.project.CueRepository;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.ScriptParsing;
import org.logophon.app.services.script.ScriptSaving;
import org.logophon.app.services.script.ScriptStateReader;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.ScriptCue;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * Puts a cue back that left the script: its words after the cue that it followed, with its number, direction and takes.
 */
@RestController
@RequestMapping("/projects/{id}/script/gone")
class RestoreCueController {

    private final Projects projects;
    private final ScriptParsing scripts;
    private final CueRepository cues;
    private final ScriptSaving saving;
    private final ScriptStateReader states;

    RestoreCueController(
            Projects projects,
            CueRepository cues,
            ScriptSaving saving,
            ScriptStateReader states,
            ScriptParsing scripts) {
        this.scripts = scripts;
        this.projects = projects;
        this.cues = cues;
        this.saving = saving;
        this.states = states;
    }

    @PostMapping("/{cue}")
    Object back(@PathVariable UUID id, @PathVariable UUID cue, @RequestParam int version) {
        Cue gone = cues.removed(id).stream()
                .filter(c -> c.id().equals(cue))
                .findFirst()
                .orElseThrow(() -> new NotFound("This cue is back in the script already."));
        Project project = projects.require(id);
        List<ScriptCue> now = scripts.of(project).cues();
        int after = Math.min(gone.position(), now.size()) - 1;
        String role = after >= 0 ? now.get(after).role() : "";
        String name =
                gone.role().equals(role) || after < 0 && gone.role().equals(Script.NARRATOR) ? "" : gone.role() + ": ";
        int place = after < 0 ? 0 : now.get(after).end();
        String back = after < 0 ? name + gone.text() + "\n\n" : "\n\n" + name + gone.text();
        String next = !name.isEmpty()
                        && after + 1 < now.size()
                        && after >= 0
                        && now.get(after + 1).role().equals(role)
                        && now.get(after + 1).sourceAt(0) == now.get(after + 1).start()
                ? role
                : "";
        String text = project.script().substring(0, place) + back + rest(project.script(), place, next, now, after + 1);
        return states.withText(id, saving.save(id, text, version, "Cue " + gone.number() + " restored"));
    }

    /** What follows; when the cue brought another role, the next one says again who speaks. */
    private static String rest(String script, int place, String role, List<ScriptCue> cues, int next) {
        if (role.isEmpty()) {
            return script.substring(place);
        }
        int start = cues.get(next).start();
        return script.substring(place, start) + role + ": " + script.substring(start);
    }
}
