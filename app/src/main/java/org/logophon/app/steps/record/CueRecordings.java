package org.logophon.app.steps.record;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.logophon.app.services.page.Ago;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.RoleRepository;
import org.logophon.app.services.project.take.RecordingRepository;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.project.take.TakeSource;
import org.logophon.app.services.rendering.TakeSound;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.check.TakeFinding;
import org.logophon.core.voice.recording.Cleaning;
import org.logophon.core.voice.recording.HeldRecording;
import org.springframework.stereotype.Component;

/** Cues as the Record page shows them: what is to be said, and what was. */
@Component
class CueRecordings {

    private final Projects projects;
    private final TakeRepository takes;
    private final RecordingRepository recordings;
    private final RoleRepository roles;
    private final Clock clock;

    CueRecordings(
            Projects projects,
            TakeRepository takes,
            RecordingRepository recordings,
            RoleRepository roles,
            Clock clock) {
        this.projects = projects;
        this.takes = takes;
        this.recordings = recordings;
        this.roles = roles;
        this.clock = clock;
    }

    /** @param told what became of it, for people @param said true when a recording says it */
    record Row(UUID id, String number, String role, int colour, String text, String told, boolean said) {}

    /**
     * @param state of the cue
     * @param voice who says it now
     * @param cleaning of the role's recordings, last; null for none
     */
    record Sheet(
            UUID id,
            String number,
            String scene,
            String role,
            String text,
            CueState state,
            String problem,
            String voice,
            boolean recorded,
            Cleaning cleaning,
            List<TakeLine> takes) {}

    /**
     * @param title   its own name; empty without one
     * @param told    words found, level and noise, for people
     * @param warning what spoils it; empty for nothing
     * @param cleaned how, in words; empty for a recording as it was said
     * @param doubts  of its words, 0–1, in order; empty for a take that isn't a recording as it was said
     */
    record TakeLine(
            UUID id,
            String name,
            String title,
            String remark,
            String voice,
            String when,
            double seconds,
            boolean kept,
            boolean recorded,
            boolean otherWords,
            String sound,
            String score,
            String told,
            String warning,
            String cleaned,
            List<Float> doubts,
            List<Finding> findings) {}

    record Finding(String kind, String label, String sentence, int start, int end, double from, double to) {

        static Finding of(TakeFinding finding) {
            return new Finding(
                    finding.kind().id(),
                    finding.kind().label(),
                    finding.sentence(),
                    finding.start(),
                    finding.end(),
                    finding.fromSeconds(),
                    finding.toSeconds());
        }
    }

    List<Row> rows(UUID project, String role) {
        return projects.view(project).cues().stream()
                .filter(cue -> role.isEmpty() || cue.cue().role().equalsIgnoreCase(role))
                .map(cue -> new Row(
                        cue.id(),
                        cue.number(),
                        cue.cue().role(),
                        cue.role() == null ? 0 : cue.role().colour(),
                        cue.cue().text(),
                        told(cue),
                        recorded(cue)))
                .toList();
    }

    private static boolean recorded(CueView cue) {
        return cue.cue().taken() != null && cue.cue().taken().recorded();
    }

    private static String told(CueView cue) {
        if (!recorded(cue)) {
            return cue.status().takes() == 0 ? "not yet" : "spoken by its voice";
        }
        boolean recast = cue.status().source() == TakeSource.RECAST;
        return cue.state() == CueState.READY
                ? (recast ? cue.voice() == null ? "recast" : cue.voice().name() : "recorded")
                : cue.state() == CueState.RENDERING ? "in progress" : "changed since";
    }

    Sheet sheet(UUID projectId, UUID cueId) {
        Project project = projects.require(projectId);
        CueView cue = projects.cue(projectId, cueId);
        List<TakeLine> lines = new ArrayList<>();
        for (Take take : takes.of(cueId)) {
            if (take.origin().voice() != null
                    && RecordedVoice.of(take.origin().voice().id()).isPresent()) {
                lines.add(line(project, cue, take));
            }
        }
        return new Sheet(
                cue.id(),
                cue.number(),
                cue.cue().scene(),
                cue.cue().role(),
                cue.cue().text(),
                cue.state(),
                cue.problem(),
                cue.voice() == null ? "" : cue.voice().name(),
                recorded(cue),
                cue.role() == null
                        ? null
                        : roles.cleaning(projectId, cue.role().name()).orElse(null),
                lines);
    }

    private TakeLine line(Project project, CueView cue, Take take) {
        RecordingRepository.Told told = recordings.find(take.speech()).orElse(null);
        String address = "/projects/" + project.id() + "/takes/" + take.id();
        return new TakeLine(
                take.id(),
                take.name(),
                take.said().name(),
                take.said().remark(),
                take.origin().voice().name(),
                Ago.of(take.createdAt(), clock.instant()),
                take.sound().seconds(),
                take.id().equals(cue.keptTake()),
                told != null,
                !take.text().equals(cue.cue().text()),
                address + "/even/" + TakeSound.evenStamp(take.sound(), project, cue) + ".wav",
                address + "/score",
                told == null ? "" : figures(told),
                told == null ? "" : told.figures().warning(),
                told == null || told.cleaning() == null ? "" : told.cleaning().words(),
                told == null ? List.of() : told.doubts(),
                told == null
                        ? List.of()
                        : told.findings().stream()
                                .filter(finding ->
                                        !told.left().contains(finding.kind().id() + " " + finding.start()))
                                .map(Finding::of)
                                .toList());
    }

    private static String figures(RecordingRepository.Told told) {
        long found = told.doubts().stream()
                .filter(doubt -> doubt < HeldRecording.DOUBTFUL)
                .count();
        return String.format(
                        Locale.ROOT,
                        "words found %d of %d · level %.0f LUFS · noise %.0f dB%s",
                        found,
                        told.doubts().size(),
                        told.figures().lufs(),
                        told.figures().noiseDb(),
                        told.figures().longestGap() < 0.1
                                ? ""
                                : String.format(
                                        Locale.ROOT,
                                        " · longest gap %.1f s",
                                        told.figures().longestGap()))
                .replace('-', '−');
    }
}
