package org.logophon.app.direct;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.logophon.app.project.CueView;
import org.logophon.app.project.ProjectReadings;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.Projects;
import org.logophon.app.project.ReadingRepository;
import org.logophon.app.project.Role;
import org.logophon.core.delivery.Slug;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.mark.Mark;
import org.logophon.core.reading.Reading;
import org.logophon.core.reading.ReadingList;
import org.logophon.core.ssml.SsmlCue;
import org.logophon.core.ssml.SsmlCue.PlacedReading;
import org.logophon.core.ssml.SsmlWriter;
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
                        List.of(ssml(project, view, readings.of(id))),
                        project.project().language()));
    }

    /** @param scene empty for the whole script */
    @GetMapping("/score.ssml")
    ResponseEntity<String> score(@PathVariable UUID id, @RequestParam(defaultValue = "") String scene) {
        ProjectView view = projects.view(id);
        ProjectReadings said = readings.of(id);
        List<SsmlCue> cues = view.cues().stream()
                .filter(cue -> scene.isEmpty() || cue.cue().scene().equals(scene))
                .map(cue -> ssml(view, cue, said))
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

    private static SsmlCue ssml(ProjectView view, CueView cue, ProjectReadings said) {
        ResolvedDirection all = cue.direction();
        // what project, role and cue say together, where any of them says something
        Direction direction = new Direction(
                all.paceFactor() == 1 ? null : (int) Math.round(all.paceFactor() * 100),
                all.semitones() == 0 ? null : all.semitones(),
                all.rangeFactor() == 1 ? null : (int) Math.round(all.rangeFactor() * 100),
                all.loudnessDb() == 0 ? null : all.loudnessDb(),
                null,
                null,
                null,
                all.style().isEmpty() ? null : all.style(),
                all.style().isEmpty() ? null : all.stylePercent());
        List<PlacedReading> placed = said
                .settled(
                        cue.id(),
                        cue.cue().text(),
                        cue.voice() == null
                                ? view.project().language()
                                : cue.voice().language())
                .stream()
                .filter(match -> cue.marks().scored().stream().noneMatch(mark -> cuts(mark, match)))
                .map(match -> new PlacedReading(
                        match.start(),
                        new Reading(
                                cue.cue().text().substring(match.start(), match.end()),
                                match.reading().said(),
                                match.reading().kind(),
                                null,
                                true)))
                .toList();
        Map<String, String> cast = view.roles().stream()
                .filter(role -> role.voiceId() != null)
                .collect(Collectors.toMap(Role::name, Role::voiceId));
        return new SsmlCue(
                cue.cue().text(), cue.voice() == null ? "" : cue.voice().id(), direction, cue.marks(), placed, cast);
    }

    /** True when a mark ends or starts inside a reading, whose element holds nothing but its words. */
    private static boolean cuts(Mark mark, ReadingList.Match reading) {
        boolean startsInside = mark.start() > reading.start() && mark.start() < reading.end();
        boolean endsInside = mark.end() > reading.start() && mark.end() < reading.end();
        return !mark.instruction().onGap() && (startsInside || endsInside);
    }
}
