package org.logophon.app.steps.direct;

import java.util.List;
import java.util.UUID;
import org.logophon.app.services.project.CueScore;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectReadings;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.ReadingRepository;
import org.logophon.core.delivery.Slug;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.direction.ssml.SsmlWriter;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A cue, a scene or the whole script as SSML 1.1. */
@RestController
@RequestMapping("/projects/{id}")
class SsmlController {

    private static final MediaType SSML = MediaType.parseMediaType("application/ssml+xml; charset=utf-8");

    private final Projects projects;
    private final ReadingRepository readings;

    SsmlController(Projects projects, ReadingRepository readings) {
        this.projects = projects;
        this.readings = readings;
    }

    @GetMapping("/cues/{cue}/ssml")
    ResponseEntity<String> cue(@PathVariable UUID id, @PathVariable UUID cue) {
        CueView view = projects.cue(id, cue);
        ProjectView project = projects.view(id);
        return ResponseEntity.ok()
                .contentType(SSML)
                .body(SsmlWriter.document(
                        List.of(CueScore.of(project, view, readings.of(id))),
                        project.project().language()));
    }

    /** @param scene empty for the whole script */
    @GetMapping("/score.ssml")
    ResponseEntity<String> score(@PathVariable UUID id, @RequestParam(defaultValue = "") String scene) {
        ProjectView view = projects.view(id);
        ProjectReadings said = readings.of(id);
        List<SsmlCue> cues = view.cues().stream()
                .filter(cue -> scene.isEmpty() || cue.cue().scene().equals(scene))
                .map(cue -> CueScore.of(view, cue, said))
                .toList();
        return ResponseEntity.ok()
                .contentType(SSML)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(Slug.of(view.project().name()) + ".ssml")
                                .build()
                                .toString())
                .body(SsmlWriter.document(cues, view.project().language()));
    }
}
