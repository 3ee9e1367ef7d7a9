package org.logophon.app.steps.place;

import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.CuePlace;
import org.logophon.app.services.project.CuePlace.Kind;
import org.logophon.app.services.project.CueRepository.StoredPlace;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Picture;
import org.logophon.core.text.script.Slot;
import org.logophon.core.time.programme.Placement.Anchor;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.time.timecode.Timecode;

/**
 * What was typed for a cue; an empty field leaves it as it is.
 *
 * @param in     of its slot, or where it is fixed; timecode
 * @param out    of its slot
 * @param anchor null for as it is
 */
record TypedPlace(Kind kind, String in, String out, Anchor anchor, String offset) {

    /** @param start where the cue begins now */
    StoredPlace of(CueView cue, Picture picture, SampleCount start) {
        CuePlace now = cue.cue().place();
        Slot slot = cue.cue().slot();
        Long fixed = now.fixedSamples();
        if (kind == Kind.FIXED) {
            fixed = in.isBlank()
                    ? Long.valueOf(fixed == null ? start.samples() : fixed)
                    : Long.valueOf(samples(picture, in, start).samples());
        } else if (kind == Kind.SLOT) {
            slot = slot(picture, slot, start);
        }
        long by = offset.isBlank() ? now.offsetSamples() : frames(picture, offset);
        return new StoredPlace(
                cue.id(),
                new CuePlace(kind, anchor == null ? now.anchor() : anchor, by, fixed),
                slot,
                cue.cue().direction().pauseAfterMillis());
    }

    private Slot slot(Picture picture, Slot slot, SampleCount start) {
        if (slot == null && (in.isBlank() || out.isBlank())) {
            throw new Refused("This cue has no slot yet. Type its in and out.");
        }
        int from = in.isBlank()
                ? slot.inMillis()
                : (int) samples(picture, in, start).millis();
        int to = out.isBlank()
                ? slot.outMillis()
                : (int) samples(picture, out, start).millis();
        if (to <= from) {
            throw new Refused("A slot ends after it starts. Type a later out, or an earlier in.");
        }
        return new Slot(from, to);
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
}
