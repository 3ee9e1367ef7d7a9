package org.logophon.app.steps.listen;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.CsvAnswer;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.rendering.TakeSound;
import org.logophon.core.input.table.SafeCell;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What happened to a cue and to a project, and how it was then. */
@RestController
@RequestMapping("/projects/{id}")
class HistoryController {

    private static final int MOST_SHOWN = 200;
    private static final int MOST_WRITTEN = 100_000;
    private static final int TOLD_CHARACTERS = 80;
    private static final DateTimeFormatter WHEN =
            DateTimeFormatter.ofPattern("d MMM HH:mm", java.util.Locale.ENGLISH).withZone(ZoneId.systemDefault());

    private final Projects projects;
    private final HistoryRepository history;
    private final TakeRepository takes;

    HistoryController(Projects projects, HistoryRepository history, TakeRepository takes) {
        this.projects = projects;
        this.history = history;
        this.takes = takes;
    }

    /**
     * @param at   to ask how it was then
     * @param what kind of thing, for filtering
     * @param told in words
     */
    record HistoryLine(String at, String when, String what, UUID cue, String number, String told) {}

    /** @param take that was kept then; null when there was none, or it was emptied */
    record Then(String words, boolean otherWords, UUID take, String name, boolean kept, String sound) {}

    /** @param cue left out for the whole project */
    @GetMapping("/history")
    List<HistoryLine> history(@PathVariable UUID id, @RequestParam(required = false) UUID cue) {
        return history.of(id, cue, MOST_SHOWN).stream()
                .map(event -> new HistoryLine(
                        event.at().toString(),
                        WHEN.format(event.at()),
                        event.what(),
                        event.cue(),
                        event.number(),
                        told(event)))
                .toList();
    }

    private static String told(HistoryRepository.Event event) {
        String what = (event.take() == null ? "" : event.take() + " ") + event.label();
        if (event.before() == null && event.after() == null) {
            return what;
        }
        String change = event.before() == null
                ? shortened(event.after())
                : event.after() == null
                        ? shortened(event.before())
                        : shortened(event.before()) + " → " + shortened(event.after());
        return what + ": " + change;
    }

    private static String shortened(String text) {
        return text.length() <= TOLD_CHARACTERS ? text : text.substring(0, TOLD_CHARACTERS - 1) + "…";
    }

    @GetMapping("/history.csv")
    ResponseEntity<byte[]> csv(@PathVariable UUID id, @RequestParam(required = false) UUID cue) {
        return CsvAnswer.of(
                "history.csv",
                csv -> {
                    for (HistoryRepository.Event event : history.of(id, cue, MOST_WRITTEN)) {
                        csv.printRecord(
                                event.at(),
                                event.label(),
                                event.number(),
                                event.take(),
                                event.before() == null ? null : SafeCell.of(event.before()),
                                event.after() == null ? null : SafeCell.of(event.after()));
                    }
                },
                "at",
                "what",
                "cue",
                "take",
                "before",
                "after");
    }

    /** The words of a cue and its kept take as they were at a time. */
    @GetMapping("/cues/{cue}/then")
    Then then(@PathVariable UUID id, @PathVariable UUID cue, @RequestParam String at) {
        Instant time = time(at);
        Project project = projects.require(id);
        CueView view = projects.cue(id, cue);
        String now = view.cue().text();
        String words = history.wordsAt(cue, time).orElse(now);
        Take take = history.keptAt(cue, time).flatMap(takes::find).orElse(null);
        return new Then(
                words,
                !words.equals(now),
                take == null ? null : take.id(),
                take == null ? null : take.name(),
                take != null && take.id().equals(view.keptTake()),
                take == null
                        ? null
                        : "/projects/" + id + "/takes/" + take.id() + "/even/"
                                + TakeSound.evenStamp(take.sound(), project, view) + ".wav");
    }

    private static Instant time(String at) {
        try {
            return Instant.parse(at);
        } catch (java.time.format.DateTimeParseException none) {
            throw new Refused("\"" + at + "\" is no time. Choose a line of the history.");
        }
    }
}
