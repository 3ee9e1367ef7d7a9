package org.logophon.core.programme;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * Cues in order, as heard: each clip starts where the one before it ends and its gap is over.
 *
 * @param <C>   what the caller knows of a cue
 * @param clips in order; each knows its place
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
    public record Entry<C>(C cue, SampleCount length, SampleCount gap) {}

    /**
     * A clip in its place.
     *
     * @param start of its first sample, from the programme's start
     * @param gap   after it; nothing follows the last clip, so that its gap is none
     */
    public record PlacedClip<C>(C cue, SampleCount start, SampleCount length, SampleCount gap) {

        /** After its last sample. */
        public SampleCount end() {
            return start.plus(length);
        }
    }

    /** Places clips one after another. */
    public static <C> Programme<C> inOrder(List<Entry<C>> entries) {
        List<PlacedClip<C>> placed = new ArrayList<>(entries.size());
        SampleCount at = SampleCount.ZERO;
        for (int i = 0; i < entries.size(); i++) {
            Entry<C> entry = entries.get(i);
            SampleCount gap = i + 1 < entries.size() ? entry.gap() : SampleCount.ZERO;
            placed.add(new PlacedClip<>(entry.cue(), at, entry.length(), gap));
            at = at.plus(entry.length()).plus(gap);
        }
        return new Programme<>(placed);
    }

    /** How long it runs: to the end of the clip that ends last. */
    public SampleCount length() {
        return clips.stream().map(PlacedClip::end).max(SampleCount::compareTo).orElse(SampleCount.ZERO);
    }

    /** Where nothing may go on beyond: the start of the clip after this one, or the end of time for the last. */
    public SampleCount until(int index) {
        return index + 1 < clips.size() ? clips.get(index + 1).start() : new SampleCount(Long.MAX_VALUE);
    }

    /** The same places with something else known of each cue. */
    public <D> Programme<D> with(Function<C, D> known) {
        return new Programme<>(clips.stream()
                .map(clip -> new PlacedClip<>(known.apply(clip.cue()), clip.start(), clip.length(), clip.gap()))
                .toList());
    }
}
