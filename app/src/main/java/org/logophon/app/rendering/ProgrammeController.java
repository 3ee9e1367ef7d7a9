package org.logophon.app.rendering;

import java.util.List;
import java.util.UUID;
import org.logophon.app.project.CueState;
import org.logophon.app.project.CueView;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.Projects;
import org.logophon.core.programme.Programme.PlacedClip;
import org.logophon.core.timecode.FrameRate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The programme that the transport walks through. */
@RestController
class ProgrammeController {

    /** As much of a cue's text as a list shows. */
    private static final int LIST_CHARACTERS = 48;

    private final Projects projects;

    ProgrammeController(Projects projects) {
        this.projects = projects;
    }

    /** @param rendering cues that are under way */
    record ProgrammeAnswer(List<ProgrammeCue> cues, long rendering, CountedRate frameRate, double seconds) {}

    /** Frames in so many seconds, and how many of them a second of timecode counts. */
    record CountedRate(int frames, int seconds, int counted) {}

    /**
     * A cue in the programme.
     *
     * @param colour  of its role, a place in the palette
     * @param words   its first words
     * @param label   of its state, for people
     * @param start   seconds from the programme's start
     * @param problem why it can't be rendered or failed to be; null when nothing is wrong
     * @param sound   address of its kept take; null when it has none
     */
    record ProgrammeCue(
            UUID id,
            String number,
            String role,
            int colour,
            String words,
            CueState state,
            String label,
            double start,
            double seconds,
            boolean measured,
            double pause,
            String problem,
            String sound) {}

    @GetMapping("/projects/{id}/programme")
    ProgrammeAnswer programme(@PathVariable UUID id) {
        ProjectView view = projects.view(id);
        var programme = view.heard();
        FrameRate rate = FrameRate.DEFAULT;
        return new ProgrammeAnswer(
                programme.clips().stream().map(clip -> cue(view, clip)).toList(),
                view.count(CueState.RENDERING),
                new CountedRate(rate.frames(), rate.seconds(), rate.counted()),
                programme.length().seconds());
    }

    private static ProgrammeCue cue(ProjectView view, PlacedClip<CueView> clip) {
        CueView cue = clip.cue();
        return new ProgrammeCue(
                cue.id(),
                cue.number(),
                cue.cue().role(),
                cue.role() == null ? 0 : cue.role().colour(),
                beginning(cue.cue().text()),
                cue.state(),
                cue.state().label(),
                clip.start().seconds(),
                clip.length().seconds(),
                cue.measured(),
                clip.gap().seconds(),
                cue.problem(),
                address(view, cue));
    }

    private static String beginning(String text) {
        return text.codePointCount(0, text.length()) <= LIST_CHARACTERS
                ? text
                : text.substring(0, text.offsetByCodePoints(0, LIST_CHARACTERS));
    }

    private static String address(ProjectView view, CueView cue) {
        return cue.keptTake() == null
                ? null
                : "/projects/" + view.id() + "/takes/" + cue.keptTake() + "/sound/"
                        + TakeSound.stamp(cue.status().sound(), view.project(), cue) + ".wav";
    }
}
