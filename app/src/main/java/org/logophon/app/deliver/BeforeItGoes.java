package org.logophon.app.deliver;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.Predicate;
import org.logophon.app.project.CueState;
import org.logophon.app.project.CueView;
import org.logophon.app.project.ProjectView;
import org.logophon.core.programme.Placement.InSlot;

/** What one would want to know before a delivery goes; none of it forbids one. */
final class BeforeItGoes {

    private BeforeItGoes() {}

    /**
     * Something to look at.
     *
     * @param kind     for the page's own marks
     * @param sentence of it, for people
     * @param step     of the page where it is mended
     * @param cues     that it is about
     */
    public record Concern(String kind, String sentence, String step, List<Named> cues) {}

    /** A cue by its number. */
    public record Named(UUID id, String number) {}

    static List<Concern> of(ProjectView view) {
        List<Concern> concerns = new ArrayList<>();
        add(
                concerns,
                view,
                cue -> cue.keptTake() == null,
                "missing",
                "direct",
                "1 cue has no take and will be missing",
                " cues have no take and will be missing");
        add(
                concerns,
                view,
                cue -> cue.keptTake() != null && cue.state() != CueState.READY,
                "changed",
                "direct",
                "1 cue has changed since its kept take; the kept take is what is packed",
                " cues have changed since their kept takes; the kept takes are what is packed");
        boolean approves = view.cues().stream().anyMatch(cue -> cue.review().approved());
        add(
                concerns,
                view,
                cue -> approves && !cue.review().approved(),
                "unapproved",
                "listen",
                "1 cue isn’t approved",
                " cues aren’t approved");
        add(
                concerns,
                view,
                cue -> cue.review().openNotes() > 0,
                "noted",
                "listen",
                "1 cue has open notes, which go along as markers",
                " cues have open notes, which go along as markers");
        add(
                concerns,
                view,
                cue -> over(view, cue),
                "over",
                "place",
                "1 cue runs past its slot",
                " cues run past their slots");
        return concerns;
    }

    private static boolean over(ProjectView view, CueView cue) {
        return cue.cue().place().placement(cue.cue().slot(), view.project().picture()) instanceof InSlot slot
                && cue.length().compareTo(slot.length()) > 0;
    }

    private static void add(
            List<Concern> concerns,
            ProjectView view,
            Predicate<CueView> which,
            String kind,
            String step,
            String one,
            String many) {
        List<Named> cues = view.cues().stream()
                .filter(which)
                .map(cue -> new Named(cue.id(), cue.number()))
                .toList();
        if (!cues.isEmpty()) {
            concerns.add(new Concern(kind, cues.size() == 1 ? one : cues.size() + many, step, cues));
        }
    }
}
