package org.logophon.core.time.place;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.time.place.PlaceFinding.Kind;
import org.logophon.core.time.programme.Placement;
import org.logophon.core.time.programme.Placement.InSlot;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.time.timecode.Timecode;

/** Goes through a programme and says what doesn't fit the picture. */
public final class PlaceCheck {

    private PlaceCheck() {}

    /**
     * What the picture asks.
     *
     * @param rate       that frames are counted in
     * @param leastGap   between one cue and the next, when both are apart
     * @param target     how long the programme shall run at the most; null when nobody said
     * @param emptySlots in and out of slots that have no cue
     */
    public record Picture(FrameRate rate, SampleCount leastGap, SampleCount target, List<SampleCount[]> emptySlots) {}

    /**
     * A cue as it is checked.
     *
     * @param number    for people
     * @param onPurpose true when somebody said that it stands so: then it wants no slot
     */
    public record PlacedCue(String number, Placement placement, boolean onPurpose) {

        /** One of which nobody has said anything. */
        public PlacedCue(String number, Placement placement) {
            this(number, placement, false);
        }
    }

    /** @return in the order of the cues; what concerns the whole comes last */
    public static List<PlaceFinding> of(Programme<PlacedCue> programme, Picture picture) {
        List<PlaceFinding> findings = new ArrayList<>();
        List<PlacedClip<PlacedCue>> clips = programme.clips();
        boolean slots = clips.stream().anyMatch(clip -> clip.cue().placement() instanceof InSlot);
        for (int i = 0; i < clips.size(); i++) {
            PlacedClip<PlacedCue> clip = clips.get(i);
            slot(clip, i, slots, picture, findings);
            if (i + 1 < clips.size()) {
                next(clip, clips.get(i + 1), i, picture, findings);
            }
        }
        SampleCount over =
                picture.target() == null ? SampleCount.ZERO : programme.length().minus(picture.target());
        long frames = frames(over, picture.rate());
        if (frames > 0) {
            findings.add(new PlaceFinding(
                    Kind.OVER_TARGET,
                    -1,
                    frames,
                    "The programme runs " + said(frames, picture.rate())
                            + " over its target. Make the gaps shorter, the pace quicker, or say less."));
        }
        for (SampleCount[] slot : picture.emptySlots()) {
            findings.add(new PlaceFinding(
                    Kind.EMPTY_SLOT,
                    -1,
                    frames(slot[1].minus(slot[0]), picture.rate()),
                    "The picture leaves time at "
                            + picture.rate().timecode(slot[0].samples(), SampleCount.RATE)
                            + " for which there is no cue. Give it one, or remove the slot."));
        }
        return List.copyOf(findings);
    }

    private static void slot(
            PlacedClip<PlacedCue> clip, int index, boolean slots, Picture picture, List<PlaceFinding> findings) {
        String number = clip.cue().number();
        if (!(clip.cue().placement() instanceof InSlot slot)) {
            if (slots && !clip.cue().onPurpose()) {
                findings.add(new PlaceFinding(
                        Kind.NO_SLOT,
                        index,
                        0,
                        "Cue " + number + " has no slot: give it one, or let it follow on purpose."));
            }
            return;
        }
        long over = frames(clip.end().minus(slot.out()), picture.rate());
        if (over > 0) {
            findings.add(new PlaceFinding(
                    Kind.OVER_SLOT,
                    index,
                    over,
                    "Cue " + number + " runs " + said(over, picture.rate())
                            + " past its slot. Make it fit, or let the picture follow."));
        }
        long early = frames(slot.in().minus(clip.start()), picture.rate());
        if (early > 0) {
            findings.add(new PlaceFinding(
                    Kind.EARLY,
                    index,
                    early,
                    "Cue " + number + " starts " + said(early, picture.rate())
                            + " before its slot. Remove its offset, or make it fit."));
        }
    }

    private static void next(
            PlacedClip<PlacedCue> clip,
            PlacedClip<PlacedCue> next,
            int index,
            Picture picture,
            List<PlaceFinding> findings) {
        long overlap = frames(clip.end().minus(next.start()), picture.rate());
        String numbers = "Cue " + next.cue().number();
        if (next.start().compareTo(clip.start()) < 0) {
            findings.add(new PlaceFinding(
                    Kind.OVERLAP,
                    index + 1,
                    overlap,
                    numbers + " starts before cue " + clip.cue().number()
                            + " does. Move one of them, or let it follow."));
        } else if (overlap > 0) {
            findings.add(new PlaceFinding(
                    Kind.OVERLAP,
                    index + 1,
                    overlap,
                    numbers + " starts " + said(overlap, picture.rate()) + " before cue "
                            + clip.cue().number() + " ends. Move it, make the one before it fit, or let it follow."));
        } else if (next.start().minus(clip.end()).compareTo(picture.leastGap()) < 0) {
            long missing = frames(picture.leastGap().minus(next.start().minus(clip.end())), picture.rate());
            if (missing > 0) {
                findings.add(new PlaceFinding(
                        Kind.GAP,
                        index + 1,
                        missing,
                        numbers + " comes " + said(missing, picture.rate())
                                + " sooner than the smallest gap. Move it, or allow a smaller gap."));
            }
        }
    }

    /** Whole frames that so many samples need, counted up; 0 for none and for fewer than none. */
    public static long frames(SampleCount samples, FrameRate rate) {
        return samples.samples() <= 0
                ? 0
                : rate.frameAt(rate.rounded(samples.samples(), SampleCount.RATE), SampleCount.RATE);
    }

    /** {@code 12 frames}, or a timecode from a second on. */
    static String said(long frames, FrameRate rate) {
        return frames < rate.counted() ? frames + (frames == 1 ? " frame" : " frames") : Timecode.written(frames, rate);
    }
}
