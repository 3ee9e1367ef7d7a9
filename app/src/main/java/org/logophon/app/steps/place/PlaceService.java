package org.logophon.app.steps.place;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.CuePlace;
import org.logophon.app.services.project.CuePlace.Kind;
import org.logophon.app.services.project.CueRepository;
import org.logophon.app.services.project.CueRepository.StoredPlace;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Picture;
import org.logophon.app.services.project.PictureSlotRepository;
import org.logophon.app.services.project.PictureSlotRepository.EmptySlot;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.steps.place.PlaceEdits.Stood;
import org.logophon.core.direction.Dial;
import org.logophon.core.text.script.Slot;
import org.logophon.core.time.programme.Placement;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.time.timecode.Timecode;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Says where cues stand; every change can be undone, also after a reload. */
@Service
class PlaceService {

    private final Projects projects;
    private final ProjectRepository table;
    private final CueRepository cues;
    private final PlaceEdits edits;
    private final PictureSlotRepository empty;

    PlaceService(
            Projects projects,
            ProjectRepository table,
            CueRepository cues,
            PlaceEdits edits,
            PictureSlotRepository empty) {
        this.projects = projects;
        this.table = table;
        this.cues = cues;
        this.edits = edits;
        this.empty = empty;
    }

    /** @param rate empty for no picture. @param start timecode of the first frame */
    @Transactional
    public void setPicture(UUID project, String rate, String start, int leastGapMillis) {
        table.hold(project);
        projects.require(project);
        FrameRate frames = rate.isEmpty() ? null : FrameRate.named(rate);
        Dial.PAUSE.check("The smallest gap", leastGapMillis);
        long first = start.isBlank()
                ? 0
                : Timecode.typed(start, frames == null ? FrameRate.DEFAULT : frames, 0)
                        .frame();
        table.setPicture(project, new Picture(frames, first, leastGapMillis));
    }

    @Transactional
    public void place(UUID project, UUID cueId, TypedPlace typed) {
        table.hold(project);
        ProjectView view = projects.view(project);
        CueView cue = require(view, cueId);
        change(
                project,
                "cue " + cue.number(),
                List.of(cue),
                List.of(typed.of(cue, view.project().picture(), startOf(view, cue))));
    }

    /**
     * Lets cues stand alike: fixed ones where they are now.
     *
     * @return how many; those without a slot can't stand in one
     */
    @Transactional
    public int placeMany(UUID project, List<UUID> ids, Kind kind) {
        table.hold(project);
        ProjectView view = projects.view(project);
        Set<UUID> wanted = Set.copyOf(ids);
        List<CueView> placed = new ArrayList<>();
        List<StoredPlace> after = new ArrayList<>();
        for (PlacedClip<CueView> clip : view.programme().clips()) {
            CueView cue = clip.cue();
            if (!wanted.contains(cue.id()) || kind == Kind.SLOT && cue.cue().slot() == null) {
                continue;
            }
            CuePlace now = cue.cue().place();
            Long fixed = kind == Kind.FIXED ? Long.valueOf(clip.start().samples()) : now.fixedSamples();
            placed.add(cue);
            after.add(new StoredPlace(
                    cue.id(),
                    new CuePlace(kind, now.anchor(), now.offsetSamples(), fixed),
                    cue.cue().slot(),
                    cue.cue().direction().pauseAfterMillis()));
        }
        if (placed.isEmpty()) {
            throw new Refused("None of these cues has a slot. Type its in and out.");
        }
        change(project, placed.size() == 1 ? "cue " + placed.get(0).number() : placed.size() + " cues", placed, after);
        return placed.size();
    }

    /** Moves cues by frames: one in its slot by its offset, any other to a place of its own. */
    @Transactional
    public void nudge(UUID project, List<UUID> ids, int frames) {
        table.hold(project);
        ProjectView view = projects.view(project);
        FrameRate rate = view.project().picture().counting();
        Map<UUID, SampleCount> starts = new HashMap<>();
        Map<UUID, CueView> all = new HashMap<>();
        for (PlacedClip<CueView> clip : view.heard().clips()) {
            starts.put(clip.cue().id(), clip.start());
            all.put(clip.cue().id(), clip.cue());
        }
        List<CueView> moved = new ArrayList<>();
        for (UUID id : new LinkedHashSet<>(ids)) {
            moved.add(all.containsKey(id) ? all.get(id) : require(view, id));
        }
        List<StoredPlace> after = new ArrayList<>();
        for (CueView cue : moved) {
            CuePlace now = cue.cue().place();
            boolean slotted = now.placement(cue.cue().slot(), view.project().picture()) instanceof Placement.InSlot;
            long frame = rate.frameAt(starts.get(cue.id()).samples(), SampleCount.RATE);
            long to = rate.firstSample(Math.max(0, frame + frames), SampleCount.RATE);
            long by = to - rate.firstSample(frame, SampleCount.RATE);
            CuePlace place = slotted
                    ? new CuePlace(Kind.SLOT, now.anchor(), now.offsetSamples() + by, now.fixedSamples())
                    : new CuePlace(Kind.FIXED, now.anchor(), now.offsetSamples(), to);
            after.add(new StoredPlace(
                    cue.id(), place, cue.cue().slot(), cue.cue().direction().pauseAfterMillis()));
        }
        change(project, moved.size() == 1 ? "cue " + moved.get(0).number() : moved.size() + " cues", moved, after);
    }

    /** A slot for each cue that has one now, and those that are left without. */
    @Transactional
    public int take(UUID project, List<StoredPlace> slots, List<EmptySlot> left) {
        table.hold(project);
        ProjectView view = projects.view(project);
        List<CueView> changed = new ArrayList<>();
        List<StoredPlace> after = new ArrayList<>();
        for (StoredPlace wanted : slots) {
            CueView cue = require(view, wanted.cue());
            if (wanted.slot().equals(cue.cue().slot()) && cue.cue().place().kind() != Kind.FOLLOW) {
                continue;
            }
            changed.add(cue);
            after.add(new StoredPlace(
                    cue.id(),
                    new CuePlace(
                            Kind.SLOT,
                            cue.cue().place().anchor(),
                            cue.cue().place().offsetSamples(),
                            null),
                    wanted.slot(),
                    cue.cue().direction().pauseAfterMillis()));
        }
        List<EmptySlot> before = empty.of(project);
        if (!changed.isEmpty() || !slots(before).equals(slots(left))) {
            edits.add(project, "picture times", new Stood(stored(changed), before), new Stood(after, left));
            cues.setPlaces(after);
            empty.replace(project, left);
            table.touch(project);
        }
        return changed.size();
    }

    private static List<Slot> slots(List<EmptySlot> left) {
        return left.stream().map(EmptySlot::slot).toList();
    }

    /** Takes a slot away for which there is no cue. */
    @Transactional
    public void dropSlot(UUID project, UUID slot) {
        table.hold(project);
        projects.require(project);
        List<EmptySlot> before = empty.of(project);
        List<EmptySlot> after =
                before.stream().filter(one -> !one.id().equals(slot)).toList();
        if (after.size() == before.size()) {
            throw new NotFound("This slot no longer exists.");
        }
        edits.add(project, "a slot without a cue", new Stood(List.of(), before), new Stood(List.of(), after));
        empty.replace(project, after);
        table.touch(project);
    }

    private static List<StoredPlace> stored(List<CueView> shown) {
        return shown.stream()
                .map(cue -> new StoredPlace(
                        cue.id(),
                        cue.cue().place(),
                        cue.cue().slot(),
                        cue.cue().direction().pauseAfterMillis()))
                .toList();
    }

    /** Gives slots more room. */
    @Transactional
    public void widen(UUID project, Map<UUID, Slot> wider) {
        table.hold(project);
        ProjectView view = projects.view(project);
        List<CueView> changed =
                view.cues().stream().filter(cue -> wider.containsKey(cue.id())).toList();
        List<StoredPlace> after = stored(changed).stream()
                .map(stored ->
                        new StoredPlace(stored.cue(), stored.place(), wider.get(stored.cue()), stored.gapMillis()))
                .toList();
        change(project, changed.size() == 1 ? "a wider slot" : changed.size() + " wider slots", changed, after);
    }

    /** Places cues, in a way that undo takes back. Call it in a transaction that holds the project. */
    void change(UUID project, String what, List<CueView> changed, List<StoredPlace> after) {
        edits.add(project, what, new Stood(stored(changed), null), new Stood(after, null));
        cues.setPlaces(after);
        table.touch(project);
    }

    /** @return what was undone or done again, in words @throws Refused when there is nothing */
    @Transactional
    public String turn(UUID project, boolean undo) {
        table.hold(project);
        PlaceEdits.Edit edit = edits.next(project, undo)
                .orElseThrow(() -> new Refused(
                        undo ? "There is nothing to undo in the placements." : "There is nothing to redo."));
        Stood stood = undo ? edit.before() : edit.after();
        cues.setPlaces(stood.places());
        if (stood.left() != null) {
            empty.replace(project, stood.left());
        }
        edits.setUndone(project, edit.ordinal(), undo);
        table.touch(project);
        return edit.what();
    }

    private static CueView require(ProjectView view, UUID cue) {
        return view.cue(cue).orElseThrow(() -> new NotFound("This cue is no longer in the script."));
    }

    private static SampleCount startOf(ProjectView view, CueView cue) {
        Programme<CueView> programme = view.heard();
        return programme.clips().stream()
                .filter(clip -> clip.cue().id().equals(cue.id()))
                .findFirst()
                .map(PlacedClip::start)
                .orElse(SampleCount.ZERO);
    }
}
