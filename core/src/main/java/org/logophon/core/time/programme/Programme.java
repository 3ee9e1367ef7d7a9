package org.logophon.core.time.programme;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.logophon.core.time.programme.Placement.Fixed;
import org.logophon.core.time.programme.Placement.InSlot;
import org.logophon.core.time.timecode.FrameRate;

/**
 * Cues in order, as heard. A clip starts where the one before it ends and its gap is over, unless it has a place of its
 * own.
 *
 * @param <C>   what the caller knows of a cue
 * @param clips in the order of the cues; each knows its place
 */
public record Programme<C>(List<PlacedClip<C>> clips) {

    public Programme {
        clips = List.copyOf(clips);
    }

    /**
     * A cue whose clip is to be placed.
     *
     * @param length of its clip
     * @param gap    after it, unless it is the last one
     */
    public record Entry<C>(C cue, SampleCount length, SampleCount gap, Placement placement) {

        /** One that follows. */
        public Entry(C cue, SampleCount length, SampleCount gap) {
            this(cue, length, gap, Placement.FOLLOW);
        }
    }

    /**
     * A clip in its place.
     *
     * @param start of its first sample, from the programme's start
     * @param gap   from its end to the next cue's start; none after the last clip, and where the next one has begun by
     *              then
     */
    public record PlacedClip<C>(C cue, SampleCount start, SampleCount length, SampleCount gap) {

        /** After its last sample. */
        public SampleCount end() {
            return start.plus(length);
        }
    }

    /** Places clips on exact samples: there is no picture whose frames they would start on. */
    public static <C> Programme<C> inOrder(List<Entry<C>> entries) {
        return placed(entries, null);
    }

    /**
     * Places clips.
     *
     * @param rate whose frames they start on, later by under one frame where need be; null for exact samples
     */
    public static <C> Programme<C> placed(List<Entry<C>> entries, FrameRate rate) {
        SampleCount[] starts = new SampleCount[entries.size()];
        SampleCount follows = SampleCount.ZERO;
        for (int i = 0; i < starts.length; i++) {
            Entry<C> entry = entries.get(i);
            starts[i] = start(entry, follows, rate);
            follows = starts[i].plus(entry.length()).plus(entry.gap());
        }
        List<PlacedClip<C>> placed = new ArrayList<>(starts.length);
        for (int i = 0; i < starts.length; i++) {
            Entry<C> entry = entries.get(i);
            SampleCount end = starts[i].plus(entry.length());
            boolean apart = i + 1 < starts.length && starts[i + 1].compareTo(end) > 0;
            placed.add(new PlacedClip<>(
                    entry.cue(), starts[i], entry.length(), apart ? starts[i + 1].minus(end) : SampleCount.ZERO));
        }
        return new Programme<>(placed);
    }

    private static <C> SampleCount start(Entry<C> entry, SampleCount follows, FrameRate rate) {
        if (entry.placement() instanceof Fixed fixed) {
            return onFrame(fixed.start(), rate, false);
        }
        if (entry.placement() instanceof InSlot slot) {
            SampleCount spare = slot.length().minus(entry.length());
            long at = slot.in().samples()
                    + slot.offset().samples()
                    + switch (slot.anchor()) {
                        case START -> 0;
                        case MIDDLE -> Math.floorDiv(spare.samples(), 2);
                        case END -> spare.samples();
                    };
            // rounded up, a clip at the end of its slot would run over it by that
            return onFrame(new SampleCount(Math.max(0, at)), rate, slot.anchor() == Placement.Anchor.END);
        }
        return onFrame(follows, rate, false);
    }

    private static SampleCount onFrame(SampleCount at, FrameRate rate, boolean earlier) {
        if (rate == null) {
            return at;
        }
        return new SampleCount(
                earlier
                        ? rate.firstSample(rate.frameAt(at.samples(), SampleCount.RATE), SampleCount.RATE)
                        : rate.rounded(at.samples(), SampleCount.RATE));
    }

    /** How long it runs: to the end of the clip that ends last. */
    public SampleCount length() {
        return clips.stream().map(PlacedClip::end).max(SampleCount::compareTo).orElse(SampleCount.ZERO);
    }

    /**
     * Where nothing may go on beyond: the start of the clip after this one, or the end of time where none begins later.
     */
    public SampleCount until(int index) {
        boolean later = index + 1 < clips.size()
                && clips.get(index + 1).start().compareTo(clips.get(index).start()) > 0;
        return later ? clips.get(index + 1).start() : new SampleCount(Long.MAX_VALUE);
    }

    /** The same places with something else known of each cue. */
    public <D> Programme<D> with(Function<C, D> known) {
        return new Programme<>(clips.stream()
                .map(clip -> new PlacedClip<>(known.apply(clip.cue()), clip.start(), clip.length(), clip.gap()))
                .toList());
    }
}
