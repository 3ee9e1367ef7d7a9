package org.logophon.app.steps.listen;

import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.web.CsvAnswer;
import org.logophon.app.platform.web.DoneOnce;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.review.NoteRepository;
import org.logophon.app.services.reviewing.Reviewing;
import org.logophon.core.input.table.SafeCell;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Notes on words. */
@RestController
@RequestMapping("/projects/{id}")
class NoteController {

    private final Projects projects;
    private final Reviewing reviewing;
    private final NoteRepository notes;
    private final Clock clock;

    NoteController(Projects projects, Reviewing reviewing, NoteRepository notes, Clock clock) {
        this.projects = projects;
        this.reviewing = reviewing;
        this.notes = notes;
        this.clock = clock;
    }

    /** All of a project, in the order of its cues. */
    @GetMapping("/notes")
    List<NoteLine> all(@PathVariable UUID id) {
        ProjectView view = projects.view(id);
        Map<UUID, CueView> cues = new HashMap<>();
        view.cues().forEach(cue -> cues.put(cue.id(), cue));
        return notes.of(id).stream()
                .map(note -> {
                    CueView cue = cues.get(note.cue());
                    return cue == null
                            ? NoteLine.of(note, "", null, clock.instant())
                            : NoteLine.of(note, cue.number(), cue.cue().text(), clock.instant());
                })
                .toList();
    }

    @GetMapping("/cues/{cue}/notes")
    List<NoteLine> ofCue(@PathVariable UUID id, @PathVariable UUID cue) {
        CueView view = projects.cue(id, cue);
        return notes.ofCue(cue).stream()
                .map(note -> NoteLine.of(note, view.number(), view.cue().text(), clock.instant()))
                .toList();
    }

    @GetMapping("/notes.csv")
    ResponseEntity<byte[]> csv(@PathVariable UUID id) {
        return CsvAnswer.of(
                "notes.csv",
                csv -> {
                    for (NoteLine note : all(id)) {
                        String state = !note.open() ? "done" : note.start() < 0 ? "open, word gone" : "open";
                        csv.printRecord(
                                SafeCell.of(note.number()),
                                SafeCell.of(note.word()),
                                SafeCell.of(note.remark()),
                                state,
                                note.take(),
                                note.doneTake());
                    }
                },
                "cue",
                "word",
                "note",
                "state",
                "heard_in",
                "done_in");
    }

    /** @param at index in the cue's text, inside the word or before it */
    @DoneOnce
    @PostMapping("/cues/{cue}/notes")
    SentenceAnswer add(
            @PathVariable UUID id,
            @PathVariable UUID cue,
            @RequestParam(required = false) UUID heard,
            @RequestParam int at,
            @RequestParam String remark) {
        reviewing.note(id, cue, heard, at, remark);
        return new SentenceAnswer("Noted.");
    }

    @PostMapping("/notes/{note}")
    SentenceAnswer rewrite(
            @PathVariable UUID id, @PathVariable UUID note, @RequestParam String remark, @RequestParam int version) {
        reviewing.rewrite(id, note, remark, version);
        return new SentenceAnswer("Noted.");
    }

    @PostMapping("/notes/{note}/done")
    SentenceAnswer done(@PathVariable UUID id, @PathVariable UUID note) {
        reviewing.done(id, note, true);
        return new SentenceAnswer("Done.");
    }

    @PostMapping("/notes/{note}/open")
    SentenceAnswer open(@PathVariable UUID id, @PathVariable UUID note) {
        reviewing.done(id, note, false);
        return new SentenceAnswer("Reopened.");
    }

    @PostMapping("/notes/{note}/delete")
    SentenceAnswer delete(@PathVariable UUID id, @PathVariable UUID note) {
        reviewing.setDeleted(id, note, true);
        return new SentenceAnswer("Note deleted.");
    }

    @PostMapping("/notes/{note}/restore")
    SentenceAnswer restore(@PathVariable UUID id, @PathVariable UUID note) {
        reviewing.setDeleted(id, note, false);
        return new SentenceAnswer("Note restored.");
    }
}
