package org.logophon.core.time.bed;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.finish.Clip.TimedWord;

/** The spans of a programme in which somebody speaks: stretches of words, in samples at 48 kHz, in order and apart. */
public final class VoiceSpans {

    /** Words that are closer together are one stretch: nobody hears a bed come and go between them. Ours. */
    private static final double TOGETHER_SECONDS = 0.6;

    private final long[] from;
    private final long[] to;

    private VoiceSpans(long[] from, long[] to) {
        this.from = from;
        this.to = to;
    }

    /** @param words of a cue's clip, timed from its first sample; a clip without any is one stretch */
    public static <C> VoiceSpans of(Programme<C> programme, Function<C, List<TimedWord>> words) {
        List<long[]> spoken = new ArrayList<>();
        for (var clip : programme.clips()) {
            long start = clip.start().samples();
            List<TimedWord> timed = words.apply(clip.cue());
            if (timed.isEmpty()) {
                spoken.add(new long[] {start, clip.end().samples()});
            }
            for (TimedWord word : timed) {
                spoken.add(new long[] {
                    start + SampleCount.nearest(word.startSeconds()).samples(),
                    start + SampleCount.nearest(word.endSeconds()).samples()
                });
            }
        }
        return joined(spoken);
    }

    private static VoiceSpans joined(List<long[]> spoken) {
        spoken.sort(Comparator.comparingLong(span -> span[0]));
        long together = SampleCount.nearest(TOGETHER_SECONDS).samples();
        List<long[]> apart = new ArrayList<>();
        for (long[] span : spoken) {
            long[] last = apart.isEmpty() ? null : apart.get(apart.size() - 1);
            if (last != null && span[0] - last[1] <= together) {
                last[1] = Math.max(last[1], span[1]);
            } else {
                apart.add(span.clone());
            }
        }
        return new VoiceSpans(
                apart.stream().mapToLong(span -> span[0]).toArray(),
                apart.stream().mapToLong(span -> span[1]).toArray());
    }

    int count() {
        return from.length;
    }

    long from(int index) {
        return from[index];
    }

    long to(int index) {
        return to[index];
    }

    /** The first stretch that ends after a place; {@link #count} where none does. */
    int endingAfter(long place) {
        int found = Arrays.binarySearch(to, place + 1);
        return found < 0 ? -found - 1 : found;
    }
}
