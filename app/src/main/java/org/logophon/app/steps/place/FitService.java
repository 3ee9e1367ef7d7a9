package org.logophon.app.steps.place;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.platform.failure.PriceFirst;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.direction.BulkDirection;
import org.logophon.app.services.direction.BulkDirection.Redirected;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Picture;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.StoredSpeech;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.rendering.RenderService;
import org.logophon.core.direction.Direction;
import org.logophon.core.text.script.Slot;
import org.logophon.core.time.place.Cuttable;
import org.logophon.core.time.place.Cuttable.Stretch;
import org.logophon.core.time.place.Fit;
import org.logophon.core.time.place.Fit.Spoken;
import org.logophon.core.time.place.Fitting;
import org.logophon.core.time.place.PlaceCheck;
import org.logophon.core.time.place.TimedTake;
import org.logophon.core.time.programme.Placement.InSlot;
import org.logophon.core.time.programme.SampleCount;
import org.springframework.stereotype.Service;

/** Makes cues fit their slots: shown first, then applied as ordinary direction, and rendered. */
@Service
class FitService {

    private static final int QUICKEST = 200;
    private static final int SLOWEST = 50;
    /** A cue with less to spare is full. */
    private static final SampleCount LEAST_ROOM = SampleCount.ofMillis(300);

    private final Projects projects;
    private final TakeRepository takes;
    private final SpeechRepository speeches;
    private final AudioStore audio;
    private final BulkDirection directing;
    private final RenderService rendering;
    private final PlaceService placing;

    FitService(
            Projects projects,
            TakeRepository takes,
            SpeechRepository speeches,
            AudioStore audio,
            BulkDirection directing,
            RenderService rendering,
            PlaceService placing) {
        this.projects = projects;
        this.takes = takes;
        this.speeches = speeches;
        this.audio = audio;
        this.directing = directing;
        this.rendering = rendering;
        this.placing = placing;
    }

    /**
     * What is allowed beside tightening and speaking quicker.
     *
     * @param borrow free room around a slot: the slot is made wider by it
     * @param loosen cues that have room to spare, too: slower, with longer pauses
     */
    record FitOptions(boolean borrow, boolean loosen) {}

    /**
     * How a cue would come to fit.
     *
     * @param now    seconds that it runs
     * @param slot   seconds that it has
     * @param way    in words
     * @param result seconds that it is expected to run
     * @param fits   false when words would have to go
     * @param could  stretches of the text that could go, where some have to
     */
    record Preview(
            UUID cue,
            String number,
            double now,
            double slot,
            String way,
            double result,
            boolean fits,
            String text,
            List<Stretch> could) {}

    private record Found(CueView cue, TimedTake take, Fit fit, SampleCount slot, Room.Around room) {}

    List<Preview> preview(UUID project, FitOptions asked) {
        ProjectView view = projects.view(project);
        Picture picture = view.project().picture();
        return found(view, asked).stream()
                .map(found -> new Preview(
                        found.cue().id(),
                        found.cue().number(),
                        found.cue().seconds(),
                        found.slot().seconds(),
                        way(found.fit(), picture),
                        found.fit().length().seconds(),
                        found.fit().fits(),
                        found.cue().cue().text(),
                        found.fit().fits()
                                ? List.of()
                                : Cuttable.of(found.cue().cue().text(), language(found.cue()))))
                .toList();
    }

    private static String language(CueView cue) {
        return cue.voice() == null ? "" : cue.voice().language();
    }

    private static String way(Fit fit, Picture picture) {
        List<String> ways = new ArrayList<>();
        if (fit.pausePercent() < 100) {
            ways.add("pauses at " + fit.pausePercent() + " %");
        }
        if (fit.pacePercent() != 100) {
            ways.add("pace at " + fit.pacePercent() + " %");
        }
        long frames = PlaceCheck.frames(fit.borrowed(), picture.counting());
        if (frames > 0) {
            ways.add(frames + (frames == 1 ? " frame" : " frames") + " of the room around");
        }
        if (fit.words() > 0) {
            ways.add("and " + (fit.words() == 1 ? "1 word" : fit.words() + " words") + " cut by hand");
        }
        return String.join(", ", ways);
    }

    private List<Found> found(ProjectView view, FitOptions asked) {
        Picture picture = view.project().picture();
        Room room = new Room(view, picture);
        List<Found> found = new ArrayList<>();
        for (int i = 0; i < view.cues().size(); i++) {
            CueView cue = view.cues().get(i);
            if (cue.keptTake() == null
                    || !cue.measured()
                    || !(cue.cue().place().placement(cue.cue().slot(), picture) instanceof InSlot slot)) {
                continue;
            }
            boolean over = cue.length().compareTo(slot.length()) > 0;
            if (!over && (!asked.loosen() || slot.length().minus(cue.length()).compareTo(LEAST_ROOM) < 0)) {
                continue;
            }
            Take take = takes.find(cue.keptTake()).orElseThrow();
            StoredSpeech speech = speeches.find(take.speech()).orElseThrow();
            TimedTake timed = TimedTake.of(audio.source(speech.sound()).inMemory(), speech.timed());
            Spoken spoken = Fitting.spoken(take.text(), language(cue), timed, cue.length());
            Room.Around around = over && asked.borrow() ? room.around(i) : Room.Around.NONE;
            Fit fit = over ? Fit.into(slot.length(), spoken, around.free()) : Fit.loosened(slot.length(), spoken);
            if (fit != null) {
                found.add(new Found(cue, timed, fit, slot.length(), around));
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
    Applied apply(UUID project, List<UUID> cues, FitOptions asked) {
        ProjectView view = projects.view(project);
        Set<UUID> only = Set.copyOf(cues);
        List<Found> chosen = found(view, asked).stream()
                .filter(found -> only.isEmpty() || only.contains(found.cue().id()))
                .toList();
        if (chosen.isEmpty()) {
            throw new Refused(
                    asked.loosen()
                            ? "Every rendered cue fits its slot, and none has room to fill."
                            : "No rendered cue runs past its slot.");
        }
        widen(view, chosen);
        Map<UUID, Redirected> changes = new HashMap<>();
        for (Found found : chosen) {
            CueView cue = found.cue();
            changes.put(
                    cue.id(),
                    new Redirected(
                            Fitting.paused(cue.marks(), cue.cue().text(), found.take(), found.fit()),
                            quicker(cue.cue().direction(), found.fit().pacePercent())));
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

    /** Room that is used becomes the slot's own. */
    private void widen(ProjectView view, List<Found> chosen) {
        Picture picture = view.project().picture();
        Map<UUID, Slot> wider = new HashMap<>();
        for (Found found : chosen) {
            if (found.fit().borrowed().samples() > 0) {
                wider.put(
                        found.cue().id(),
                        found.room()
                                .widened(
                                        found.cue().cue().slot(),
                                        picture,
                                        found.fit().borrowed()));
            }
        }
        if (!wider.isEmpty()) {
            placing.widen(view.id(), wider);
        }
    }

    private static Direction quicker(Direction now, int percent) {
        int pace = now.pacePercent() == null ? 100 : now.pacePercent();
        int quicker = Math.max(SLOWEST, Math.min(QUICKEST, (int) Math.ceil(pace * percent / 100.0)));
        return new Direction(
                quicker == 100 && now.pacePercent() == null ? null : Integer.valueOf(quicker),
                now.pitchSemitones(),
                now.rangePercent(),
                now.loudnessDb(),
                now.pauseAfterMillis(),
                now.effect(),
                now.effectPercent(),
                now.style(),
                now.stylePercent(),
                now.phrasingPercent());
    }
}
