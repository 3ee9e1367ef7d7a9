package org.logophon.app.steps.listen;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.logophon.app.services.page.Ago;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.review.CueReview;
import org.logophon.app.services.project.review.NoteRepository;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.rendering.ProgrammeReader;
import org.logophon.app.services.rendering.TakeSound;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.take.TakeDifference;
import org.springframework.stereotype.Component;

/** A cue as the Listen page shows it: its words, its takes, its notes. */
@Component
class CueSheets {

    private final Projects projects;
    private final TakeRepository takes;
    private final NoteRepository notes;
    private final VoiceCatalogue voices;
    private final Clock clock;

    CueSheets(Projects projects, TakeRepository takes, NoteRepository notes, VoiceCatalogue voices, Clock clock) {
        this.projects = projects;
        this.takes = takes;
        this.notes = notes;
        this.voices = voices;
        this.clock = clock;
    }

    /**
     * @param label    of its state, for people
     * @param sound    address of its kept take; null when it has none
     * @param taken    how it is directed otherwise than by its role, as a sentence; null when it isn't
     * @param words    places of its words in its text
     * @param reviewed what people have said of it, for people
     * @param labels   in use in the project, the most used first
     */
    record Sheet(
            UUID id,
            String number,
            String scene,
            String role,
            int colour,
            String voice,
            String text,
            CueState state,
            String label,
            String problem,
            String sound,
            String taken,
            List<int[]> words,
            CueReview.State review,
            String reviewed,
            List<TakeLine> takes,
            List<NoteLine> notes,
            List<String> labels) {}

    /**
     * @param name       T3
     * @param title      its own name; empty without one
     * @param differs    what tells it from the one before it, in words
     * @param sound      address of it, as loud as the others
     * @param score      address of its words and waveform in time
     * @param otherWords true when it says other words than the cue has now
     */
    record TakeLine(
            UUID id,
            String name,
            String title,
            boolean starred,
            String remark,
            List<String> labels,
            double seconds,
            String voice,
            String differs,
            String when,
            boolean kept,
            boolean deleted,
            boolean otherWords,
            String sound,
            String score) {}

    Sheet of(UUID project, UUID cueId) {
        Project owner = projects.require(project);
        CueView cue = projects.cue(project, cueId);
        String text = cue.cue().text();
        return new Sheet(
                cue.id(),
                cue.number(),
                cue.cue().scene(),
                cue.cue().role(),
                cue.role() == null ? 0 : cue.role().colour(),
                cue.voice() == null ? "" : cue.voice().name(),
                text,
                cue.state(),
                cue.state().label(),
                cue.problem(),
                ProgrammeReader.address(owner, cue),
                cue.cue().taken() == null ? null : cue.cue().taken().sentence(),
                Words.of(text).stream()
                        .map(word -> new int[] {word.start(), word.end()})
                        .toList(),
                cue.review().state(),
                cue.review().label(),
                takes(owner, cue),
                notes.ofCue(cueId).stream()
                        .map(note -> NoteLine.of(note, cue.number(), text, clock.instant()))
                        .toList(),
                takes.labels(project));
    }

    /** The kept one first, then the newest. */
    private List<TakeLine> takes(Project project, CueView cue) {
        List<Take> all = takes.withDeleted(cue.id());
        List<TakeLine> lines = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Take before = i + 1 < all.size() ? all.get(i + 1) : null;
            lines.add(line(project, cue, all.get(i), before));
        }
        lines.sort(Comparator.comparing((TakeLine line) -> !line.kept()));
        return lines;
    }

    private TakeLine line(Project project, CueView cue, Take take, Take before) {
        List<String> differs = before == null ? List.of() : TakeDifference.between(before.origin(), take.origin());
        String address = "/projects/" + project.id() + "/takes/" + take.id();
        return new TakeLine(
                take.id(),
                take.name(),
                take.said().name(),
                take.said().starred(),
                take.said().remark(),
                take.said().labels(),
                take.sound().seconds(),
                voiceOf(take),
                before == null ? "the first" : differs.isEmpty() ? "as the one before" : String.join(", ", differs),
                Ago.of(take.createdAt(), clock.instant()),
                take.id().equals(cue.keptTake()),
                take.deleted(),
                !take.text().equals(cue.cue().text()),
                address + "/even/" + TakeSound.evenStamp(take.sound(), project, cue) + ".wav",
                address + "/score");
    }

    private String voiceOf(Take take) {
        if (take.origin().voice() == null) {
            return take.source().id();
        }
        String then = take.origin().voice().name();
        return then != null
                ? then
                : voices.find(take.origin().voice().id()).map(Voice::name).orElse("a missing voice");
    }
}
