package org.logophon.app.steps.deliver;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import org.logophon.app.services.deliveries.DeliveredFiles;
import org.logophon.app.services.deliveries.DeliveredFiles.Stored;
import org.logophon.app.services.deliveries.DeliveredProject;
import org.logophon.app.services.deliveries.DeliveredProject.ClipOptions;
import org.logophon.app.services.deliveries.DeliveredProject.ClipSource;
import org.logophon.app.services.deliveries.DeliveredProject.Prepared;
import org.logophon.app.services.deliveries.Delivery;
import org.logophon.app.services.deliveries.Earlier;
import org.logophon.app.services.deliveries.MadeOf;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.core.time.programme.Placement.InSlot;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.voice.finish.FinishSettings;

/** The checks before a delivery; none of them forbids one. */
final class DeliveryChecks {

    /** A clip that measures so far from what was asked, in LU, can't reach it: its peaks are in the way. */
    private static final double OFF_TARGET = 0.3;

    private DeliveryChecks() {}

    /** Captions are mended on the page itself. */
    static final String CAPTIONS = "captions";

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

    /** @param fast cues with captions that are too fast to read */
    static List<Concern> of(Prepared now, Earlier earlier, Set<UUID> fast) {
        ProjectView view = now.view();
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
                "1 cue has changed since its kept take; the kept take is packed",
                " cues have changed since their kept takes; the kept takes are packed");
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
                "1 cue has open notes, which are included as markers",
                " cues have open notes, which are included as markers");
        add(
                concerns,
                view,
                cue -> over(view, cue),
                "over",
                "place",
                "1 cue runs past its slot",
                " cues run past their slots");
        Set<UUID> off = offTarget(now, earlier);
        add(
                concerns,
                view,
                cue -> off.contains(cue.id()),
                "off",
                "direct",
                "1 clip was off its loudness or over the ceiling when it was last packed",
                " clips were off their loudness or over the ceiling when they were last packed");
        add(
                concerns,
                view,
                cue -> fast.contains(cue.id()),
                CAPTIONS,
                "deliver",
                "1 cue has captions too fast to read",
                " cues have captions too fast to read");
        return concerns;
    }

    /** Cues whose clip would be the same again and missed what was asked of it: finishing it is what tells. */
    private static Set<UUID> offTarget(Prepared now, Earlier earlier) {
        Delivery last = earlier.delivery();
        if (last == null) {
            return Set.of();
        }
        Map<String, Stored> clips = new HashMap<>();
        earlier.files().stream()
                .filter(file -> file.measured() != null)
                .forEach(file -> clips.put(file.entry().cue(), file));
        ClipOptions asked = ClipOptions.of(last.namePattern(), last.targetLufs(), last.choice());
        Set<UUID> off = new HashSet<>();
        for (PlacedClip<ClipSource> placed : now.programme().clips()) {
            ClipSource made = placed.cue();
            Stored clip = clips.get(made.cue().number());
            if (clip != null
                    && sameVoice(DeliveredProject.madeOf(made.cue(), made.take(), asked, ""), clip.madeOf())
                    && missed(clip.measured(), made, last.targetLufs())) {
                off.add(made.cue().id());
            }
        }
        return off;
    }

    /** What lies under a clip is measured with nothing. */
    private static boolean sameVoice(String now, String earlier) {
        String difference = MadeOf.difference(now, earlier);
        return difference.isEmpty() || difference.equals("bed");
    }

    private static boolean missed(DeliveredFiles.Measured clip, ClipSource made, Double targetLufs) {
        boolean off = targetLufs != null
                && Math.abs(clip.lufs() - targetLufs - made.cue().direction().loudnessDb()) > OFF_TARGET;
        return off || !FinishSettings.keepsCeiling(clip.truePeakDbtp());
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
