package org.logophon.app.place;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.direct.Redirecting;
import org.logophon.app.direct.Redirecting.Redirected;
import org.logophon.app.project.CueView;
import org.logophon.app.project.Picture;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.Projects;
import org.logophon.app.project.take.SpeechRepository;
import org.logophon.app.project.take.StoredSpeech;
import org.logophon.app.project.take.Take;
import org.logophon.app.project.take.TakeRepository;
import org.logophon.app.rendering.RenderService;
import org.logophon.app.web.PriceFirst;
import org.logophon.app.web.Refused;
import org.logophon.core.direction.Direction;
import org.logophon.core.place.Cuttable;
import org.logophon.core.place.Fit;
import org.logophon.core.place.Fitting;
import org.logophon.core.programme.Placement.InSlot;
import org.logophon.core.programme.SampleCount;
import org.springframework.stereotype.Service;

/** Makes cues fit their slots: shown first, then applied as ordinary direction, and rendered. */
@Service
class FitService {

    private static final int QUICKEST = 200;
    private static final int MOST_SHOWN = 5;

    private final Projects projects;
    private final TakeRepository takes;
    private final SpeechRepository speeches;
    private final Redirecting directing;
    private final RenderService rendering;

    FitService(
            Projects projects,
            TakeRepository takes,
            SpeechRepository speeches,
            Redirecting directing,
            RenderService rendering) {
        this.projects = projects;
        this.takes = takes;
        this.speeches = speeches;
        this.directing = directing;
        this.rendering = rendering;
    }

    /**
     * How a cue would come to fit.
     *
     * @param now    seconds that it runs
     * @param slot   seconds that it has
     * @param way    in words
     * @param result seconds that it is expected to run
     * @param fits   false when words would have to go
     * @param could  words that could go, where some have to
     */
    record Preview(
            UUID cue,
            String number,
            double now,
            double slot,
            String way,
            double result,
            boolean fits,
            List<String> could) {}

    private record Found(CueView cue, StoredSpeech speech, Fit fit, SampleCount slot) {}

    List<Preview> preview(UUID project) {
        return found(projects.view(project)).stream()
                .map(found -> new Preview(
                        found.cue().id(),
                        found.cue().number(),
                        found.cue().seconds(),
                        found.slot().seconds(),
                        way(found.fit()),
                        found.fit().length().seconds(),
                        found.fit().fits(),
                        found.fit().fits() ? List.of() : could(found.cue())))
                .toList();
    }

    private static List<String> could(CueView cue) {
        String text = cue.cue().text();
        String language = cue.voice() == null ? "" : cue.voice().language();
        return Cuttable.of(text, language).stream()
                .limit(MOST_SHOWN)
                .map(stretch -> text.substring(stretch.start(), stretch.end()))
                .toList();
    }

    private static String way(Fit fit) {
        List<String> ways = new ArrayList<>();
        if (fit.pausePercent() < 100) {
            ways.add("pauses at " + fit.pausePercent() + " %");
        }
        if (fit.pacePercent() != 100) {
            ways.add("pace at " + fit.pacePercent() + " %");
        }
        if (fit.words() > 0) {
            ways.add("and " + (fit.words() == 1 ? "1 word" : fit.words() + " words") + " cut by hand");
        }
        return String.join(", ", ways);
    }

    private List<Found> found(ProjectView view) {
        Picture picture = view.project().picture();
        List<Found> found = new ArrayList<>();
        for (CueView cue : view.cues()) {
            boolean slotted = cue.cue().place().placement(cue.cue().slot(), picture) instanceof InSlot;
            if (!slotted || cue.keptTake() == null || !cue.measured()) {
                continue;
            }
            InSlot slot = (InSlot) cue.cue().place().placement(cue.cue().slot(), picture);
            if (cue.length().compareTo(slot.length()) <= 0) {
                continue;
            }
            Take take = takes.find(cue.keptTake()).orElseThrow();
            StoredSpeech speech = speeches.find(take.speech()).orElseThrow();
            Fit fit = Fit.into(
                    slot.length(),
                    Fitting.spoken(take.text(), speech.timed(), speech.sound().rate(), cue.length()),
                    SampleCount.ZERO);
            if (fit != null) {
                found.add(new Found(cue, speech, fit, slot.length()));
            }
        }
        return found;
    }

    /** @param priced how many wait for somebody to agree to a price; the others are being rendered */
    record Applied(int changed, int priced) {}

    /**
     * @param cues that shall fit; all that don't when there are none
     * @throws Refused when nothing is to be done
     */
    Applied apply(UUID project, List<UUID> cues) {
        Map<UUID, Redirected> changes = new HashMap<>();
        for (Found found : found(projects.view(project))) {
            if (!cues.isEmpty() && !cues.contains(found.cue().id())) {
                continue;
            }
            CueView cue = found.cue();
            changes.put(
                    cue.id(),
                    new Redirected(
                            Fitting.paused(
                                    cue.marks(),
                                    cue.cue().text(),
                                    found.speech().timed(),
                                    found.speech().sound().rate(),
                                    found.fit()),
                            quicker(cue.cue().direction(), found.fit().pacePercent())));
        }
        if (changes.isEmpty()) {
            throw new Refused("Nothing runs past its slot, as far as it is rendered.");
        }
        directing.redirect(
                project, changes.size() == 1 ? "fitting a slot" : "fitting " + changes.size() + " slots", changes);
        int priced = 0;
        for (UUID cue : changes.keySet()) {
            try {
                rendering.renderCue(project, cue, 0);
            } catch (PriceFirst price) {
                // directed it is; what it costs is shown where it is rendered
                priced++;
            }
        }
        return new Applied(changes.size(), priced);
    }

    private static Direction quicker(Direction now, int percent) {
        int pace = now.pacePercent() == null ? 100 : now.pacePercent();
        int quicker = Math.min(QUICKEST, (int) Math.ceil(pace * percent / 100.0));
        return new Direction(
                quicker == 100 && now.pacePercent() == null ? null : Integer.valueOf(quicker),
                now.pitchSemitones(),
                now.rangePercent(),
                now.loudnessDb(),
                now.pauseAfterMillis(),
                now.effect(),
                now.effectPercent(),
                now.style(),
                now.stylePercent());
    }
}
