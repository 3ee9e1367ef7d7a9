package org.logophon.app.services.rendering;

import java.util.List;
import java.util.UUID;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.review.CueReview;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.timecode.FrameRate;
import org.springframework.stereotype.Component;

/** The programme of a project as pages know it: each cue in time, with its state and where its sound is. */
@Component
public class ProgrammeReader {

    /** As much of a cue's text as a list shows. */
    private static final int LIST_CHARACTERS = 48;

    private final Projects projects;

    ProgrammeReader(Projects projects) {
        this.projects = projects;
    }

    /** @param stamp another one whenever anything of it may be another @param rendering cues that are under way */
    public record Answer(
            String stamp, List<ProgrammeCue> cues, long rendering, CountedRate frameRate, double seconds) {}

    /**
     * Frames in so many seconds, and how many of them a second of timecode counts.
     *
     * @param start timecode of the programme's first frame, in frames
     */
    public record CountedRate(int frames, int seconds, int counted, boolean drop, long start) {}

    /**
     * A cue in the programme.
     *
     * @param colour  of its role, a place in the palette
     * @param words   its first words
     * @param label   of its state, for people
     * @param start   seconds from the programme's start
     * @param problem why it can't be rendered or failed to be; null when nothing is wrong
     * @param sound   address of its kept take; null when it has none
     * @param takes   how many it has, deleted ones left out
     * @param reviewed what people have said of it, for people
     * @param asked   another one whenever something else is asked for; empty when nothing can be
     */
    public record ProgrammeCue(
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
            String sound,
            int takes,
            String asked,
            CueReview.State review,
            String reviewed,
            int openNotes) {

        /** The same at another place. */
        public ProgrammeCue startingAt(double seconds) {
            return new ProgrammeCue(
                    id,
                    number,
                    role,
                    colour,
                    words,
                    state,
                    label,
                    seconds,
                    this.seconds,
                    measured,
                    pause,
                    problem,
                    sound,
                    takes,
                    asked,
                    review,
                    reviewed,
                    openNotes);
        }
    }

    public Answer of(UUID id) {
        ProjectView view = projects.view(id);
        Programme<CueView> programme = view.heard();
        FrameRate rate = view.project().picture().counting();
        return new Answer(
                stamp(view.project()),
                programme.clips().stream().map(clip -> cue(view, clip)).toList(),
                view.count(CueState.RENDERING),
                new CountedRate(
                        rate.frames(),
                        rate.seconds(),
                        rate.counted(),
                        rate.drop(),
                        view.project().picture().startFrame()),
                programme.length().seconds());
    }

    /** @throws org.logophon.app.platform.failure.NotFound when there is no such project */
    public String stamp(UUID id) {
        return stamp(projects.require(id));
    }

    private static String stamp(Project project) {
        return project.contentVersion() + "." + project.statusVersion() + "." + project.houseVersion();
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
                address(view.project(), cue),
                cue.status().takes(),
                asked(cue),
                cue.review().state(),
                cue.review().label(),
                cue.review().openNotes());
    }

    private static String beginning(String text) {
        return text.codePointCount(0, text.length()) <= LIST_CHARACTERS
                ? text
                : text.substring(0, text.offsetByCodePoints(0, LIST_CHARACTERS));
    }

    /** Another one whenever something else is asked for of a cue; empty when nothing can be. */
    public static String asked(CueView cue) {
        return cue.recipeHash() == null ? "" : cue.recipeHash().substring(0, 12);
    }

    /** Where the sound of a cue's kept take is; null when it has none. */
    public static String address(Project project, CueView cue) {
        return cue.keptTake() == null
                ? null
                : "/projects/" + project.id() + "/takes/" + cue.keptTake() + "/sound/"
                        + TakeSound.stamp(cue.status().sound(), project, cue) + ".wav";
    }
}
