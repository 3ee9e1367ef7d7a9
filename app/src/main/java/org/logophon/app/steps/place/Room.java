package org.logophon.app.steps.place;

import java.util.List;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Picture;
import org.logophon.app.services.project.ProjectView;
import org.logophon.core.text.script.Slot;
import org.logophon.core.time.programme.Placement.InSlot;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;

/** Free room around slots: between one and what comes before and after it, less the least gap. */
final class Room {

    private final List<PlacedClip<CueView>> clips;
    private final Picture picture;

    Room(ProjectView view, Picture picture) {
        this.clips = view.programme().clips();
        this.picture = picture;
    }

    /** Room before a slot and after it, in whole frames. */
    record Around(SampleCount before, SampleCount after) {

        static final Around NONE = new Around(SampleCount.ZERO, SampleCount.ZERO);

        SampleCount free() {
            return before.plus(after);
        }

        /** A slot that has taken so much of it: what comes after first, then what is before. */
        Slot widened(Slot slot, Picture picture, SampleCount needed) {
            SampleCount later = needed.compareTo(after) < 0 ? needed : after;
            SampleCount earlier = needed.minus(later);
            FrameRate rate = picture.counting();
            SampleCount out = picture.frameAt(slot.outMillis()).plus(later);
            SampleCount in = picture.frameAt(slot.inMillis()).minus(earlier);
            long first = rate.firstSample(rate.frameAt(Math.max(0, in.samples()), SampleCount.RATE), SampleCount.RATE);
            return new Slot((int) new SampleCount(first).millis(), (int)
                    new SampleCount(rate.rounded(out.samples(), SampleCount.RATE)).millis());
        }
    }

    /** After the last cue nobody knows how much picture there is: no room is counted there. */
    Around around(int index) {
        InSlot slot = slot(index);
        SampleCount least = SampleCount.ofMillis(picture.leastGapMillis());
        SampleCount from = SampleCount.ZERO;
        SampleCount to = slot.out();
        for (int i = 0; i < index; i++) {
            SampleCount end =
                    slot(i) == null ? clips.get(i).end() : later(clips.get(i).end(), slot(i).out());
            from = later(from, end.plus(least));
        }
        if (index + 1 < clips.size()) {
            SampleCount next = clips.get(index + 1).start();
            InSlot after = slot(index + 1);
            to = (after == null || next.compareTo(after.in()) < 0 ? next : after.in()).minus(least);
        }
        return new Around(whole(slot.in().minus(from)), whole(to.minus(slot.out())));
    }

    private InSlot slot(int index) {
        CueView cue = clips.get(index).cue();
        return cue.cue().place().placement(cue.cue().slot(), picture) instanceof InSlot slot ? slot : null;
    }

    private static SampleCount later(SampleCount one, SampleCount other) {
        return one.compareTo(other) > 0 ? one : other;
    }

    private SampleCount whole(SampleCount room) {
        FrameRate rate = picture.counting();
        return room.samples() <= 0
                ? SampleCount.ZERO
                : new SampleCount(rate.firstSample(rate.frameAt(room.samples(), SampleCount.RATE), SampleCount.RATE));
    }
}
