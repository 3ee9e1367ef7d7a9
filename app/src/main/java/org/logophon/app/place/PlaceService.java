package org.logophon.app.place;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.project.CuePlace;
import org.logophon.app.project.CuePlace.Kind;
import org.logophon.app.project.CueRepository;
import org.logophon.app.project.CueRepository.StoredPlace;
import org.logophon.app.project.CueView;
import org.logophon.app.project.Picture;
import org.logophon.app.project.ProjectRepository;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.Projects;
import org.logophon.app.web.NotFound;
import org.logophon.app.web.Refused;
import org.logophon.core.programme.Placement;
import org.logophon.core.programme.Placement.Anchor;
import org.logophon.core.programme.Programme;
import org.logophon.core.programme.Programme.PlacedClip;
import org.logophon.core.programme.SampleCount;
import org.logophon.core.script.Slot;
import org.logophon.core.timecode.FrameRate;
import org.logophon.core.timecode.Timecode;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Says where cues stand; every change can be undone, also after a reload. */
@Service
class PlaceService {

    private static final int LONGEST_GAP_MILLIS = 10_000;

    private final Projects projects;
    private final ProjectRepository table;
    private final CueRepository cues;
    private final PlaceEdits edits;
    private final PictureSlots empty;

    PlaceService(Projects projects, ProjectRepository table, CueRepository cues, PlaceEdits edits, PictureSlots empty) {
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
        if (leastGapMillis < 0 || leastGapMillis > LONGEST_GAP_MILLIS) {
            throw new Refused("The least gap goes from 0 to 10 s.");
        }
        long first = start.isBlank()
                ? 0
                : Timecode.typed(start, frames == null ? FrameRate.DEFAULT : frames, 0)
                        .frame();
        table.setPicture(project, new Picture(frames, first, leastGapMillis));
    }

    /**
     * What was typed for a cue; an empty field leaves it as it is.
     *
     * @param in  of its slot, or where it is fixed; timecode
     * @param out of its slot
     */
    record Typed(Kind kind, String in, String out, Anchor anchor, String offset) {}

    @Transactional
    public void place(UUID project, UUID cueId, Typed typed) {
        table.hold(project);
        ProjectView view = projects.view(project);
        CueView cue = require(view, cueId);
        change(project, "cue " + cue.number(), List.of(cue), List.of(placed(view, cue, typed)));
    }

    private StoredPlace placed(ProjectView view, CueView cue, Typed typed) {
        Picture picture = view.project().picture();
        CuePlace now = cue.cue().place();
        Slot slot = cue.cue().slot();
        Long fixed = now.fixedSamples();
        SampleCount start = startOf(view, cue);
        if (typed.kind() == Kind.FIXED) {
            fixed = typed.in().isBlank()
                    ? Long.valueOf(fixed == null ? start.samples() : fixed)
                    : Long.valueOf(samples(picture, typed.in(), start).samples());
        } else if (typed.kind() == Kind.SLOT) {
            slot = slot(picture, slot, typed, start);
        }
        long offset = typed.offset().isBlank() ? now.offsetSamples() : frames(picture, typed.offset());
        return new StoredPlace(
                cue.id(),
                new CuePlace(typed.kind(), typed.anchor() == null ? now.anchor() : typed.anchor(), offset, fixed),
                slot,
                cue.cue().direction().pauseAfterMillis());
    }

    private static Slot slot(Picture picture, Slot slot, Typed typed, SampleCount start) {
        if (slot == null && (typed.in().isBlank() || typed.out().isBlank())) {
            throw new Refused("This cue has no slot yet: type where it begins and where it ends.");
        }
        int in = typed.in().isBlank()
                ? slot.inMillis()
                : (int) samples(picture, typed.in(), start).millis();
        int out = typed.out().isBlank()
                ? slot.outMillis()
                : (int) samples(picture, typed.out(), start).millis();
        if (out <= in) {
            throw new Refused("A slot ends after it starts. Type a later out, or an earlier in.");
        }
        return new Slot(in, out);
    }

    /** Timecode, as the programme counts it, to its place in the programme. */
    private static SampleCount samples(Picture picture, String typed, SampleCount from) {
        FrameRate rate = picture.counting();
        long now = picture.startFrame() + rate.frameAt(from.samples(), SampleCount.RATE);
        long frame = Timecode.typed(typed, rate, now).frame() - picture.startFrame();
        if (frame < 0) {
            throw new Refused("That is before the programme's first frame, "
                    + Timecode.written(picture.startFrame(), rate) + ". Type a later one.");
        }
        return new SampleCount(rate.firstSample(frame, SampleCount.RATE));
    }

    /** A step, as {@code +12} or {@code -00:00:01:00}, in samples. */
    private static long frames(Picture picture, String typed) {
        FrameRate rate = picture.counting();
        String step = typed.strip().matches("[+-].*") ? typed.strip() : "+" + typed.strip();
        long far = rate.framesAnHour() * 12;
        long frames = Timecode.typed(step, rate, far).frame() - far;
        return frames < 0 ? -rate.firstSample(-frames, SampleCount.RATE) : rate.firstSample(frames, SampleCount.RATE);
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
    public int take(UUID project, List<StoredPlace> slots, List<PictureSlots.EmptySlot> left) {
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
        if (!changed.isEmpty()) {
            change(project, "picture times", changed, after);
        }
        empty.replace(project, left);
        return changed.size();
    }

    /** Places cues, in a way that undo takes back. Call it in a transaction that holds the project. */
    void change(UUID project, String what, List<CueView> changed, List<StoredPlace> after) {
        List<StoredPlace> before = changed.stream()
                .map(cue -> new StoredPlace(
                        cue.id(),
                        cue.cue().place(),
                        cue.cue().slot(),
                        cue.cue().direction().pauseAfterMillis()))
                .toList();
        cues.setPlaces(after);
        edits.add(project, what, before, after);
        table.touch(project);
    }

    /** @return what was undone or done again, in words @throws Refused when there is nothing */
    @Transactional
    public String turn(UUID project, boolean undo) {
        table.hold(project);
        PlaceEdits.Edit edit = edits.next(project, undo)
                .orElseThrow(() -> new Refused(
                        undo ? "There is nothing to undo in the placements." : "There is nothing to do again."));
        cues.setPlaces(undo ? edit.before() : edit.after());
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
