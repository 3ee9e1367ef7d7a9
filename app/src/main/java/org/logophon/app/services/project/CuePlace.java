package org.logophon.app.services.project;

import java.util.Locale;
import org.logophon.core.text.script.Slot;
import org.logophon.core.time.programme.Placement;
import org.logophon.core.time.programme.Placement.Anchor;
import org.logophon.core.time.programme.SampleCount;

/**
 * A cue's placement as the user set it.
 *
 * @param kind          null when nobody said: then it sits in its slot, and without one it follows
 * @param offsetSamples on from where the anchor puts it in its slot
 * @param fixedSamples  from the programme's start; null unless it is fixed
 */
public record CuePlace(Kind kind, Anchor anchor, long offsetSamples, Long fixedSamples) {

    /** Nobody has said anything. */
    public static final CuePlace UNSAID = new CuePlace(null, Anchor.START, 0, null);

    /** How it stands. */
    public enum Kind {
        FOLLOW,
        FIXED,
        SLOT;

        /** As it is stored, and in addresses. */
        public String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** @param slot of the cue; null for none */
    public Placement placement(Slot slot, Picture picture) {
        if (kind == Kind.FIXED && fixedSamples != null) {
            return new Placement.Fixed(new SampleCount(fixedSamples));
        }
        if (slot == null || kind == Kind.FOLLOW) {
            return Placement.FOLLOW;
        }
        SampleCount in = picture.frameAt(slot.inMillis());
        SampleCount out = picture.frameAt(slot.outMillis());
        // under a frame long: one frame
        SampleCount least = in.plus(picture.frameAt(Math.round(
                1_000.0 * picture.counting().seconds() / picture.counting().frames())));
        return new Placement.InSlot(in, out.compareTo(least) < 0 ? least : out, anchor, new SampleCount(offsetSamples));
    }
}
