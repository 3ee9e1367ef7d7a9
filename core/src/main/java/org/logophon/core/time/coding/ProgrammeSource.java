package org.logophon.core.time.coding;

import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;

/**
 * A whole programme as one sound: each clip on its sample, silence between, what overlaps sounding together. Clips are
 * opened when their time comes, and one that was just heard is kept open.
 *
 * @param <C> what the caller knows of a cue
 */
public final class ProgrammeSource<C> implements SoundSource {

    private final List<PlacedClip<C>> clips;
    private final Function<C, SoundSource> opener;
    private final int rate;
    private final long length;
    /** For each clip, where the last one of those up to it ends: what ends before a place is skipped at once. */
    private final long[] endsBy;

    private int openIndex = -1;
    private SoundSource open;

    /** @param rate of every clip; a programme counts in 48 kHz */
    public ProgrammeSource(Programme<C> programme, Function<C, SoundSource> opener, int rate) {
        this.clips = programme.clips();
        this.opener = opener;
        this.rate = rate;
        this.length = programme.length().samples();
        this.endsBy = new long[clips.size()];
        long end = 0;
        for (int i = 0; i < endsBy.length; i++) {
            end = Math.max(end, clips.get(i).end().samples());
            endsBy[i] = end;
        }
    }

    @Override
    public int rate() {
        return rate;
    }

    @Override
    public long length() {
        return length;
    }

    @Override
    public void read(long from, long to, BlockReader reader) {
        float[] block = new float[BLOCK];
        for (long start = from; start < to; start += BLOCK) {
            int count = (int) Math.min(BLOCK, to - start);
            Arrays.fill(block, 0, count, 0);
            mix(start, block, count);
            reader.block(block, count);
        }
    }

    private void mix(long start, float[] block, int count) {
        int first = Arrays.binarySearch(endsBy, start + 1);
        for (int i = first < 0 ? -first - 1 : first; i < clips.size(); i++) {
            PlacedClip<C> clip = clips.get(i);
            long begins = clip.start().samples();
            long ends = clip.end().samples();
            if (begins < start + count && ends > start) {
                SoundSource sound = opened(i);
                long a = Math.max(start, begins) - begins;
                long b = Math.min(Math.min(start + count, ends) - begins, sound.length());
                int[] at = {(int) (Math.max(start, begins) - start)};
                if (b > a) {
                    sound.read(a, b, (samples, got) -> {
                        for (int k = 0; k < got; k++) {
                            block[at[0]++] += samples[k];
                        }
                    });
                }
            } else if (begins >= start + count && (i + 1 == clips.size() || laterOnly(i, start + count))) {
                return;
            }
        }
    }

    /** Fixed cues may stand before the ones that they come after: then all are looked at. */
    private boolean laterOnly(int from, long place) {
        for (int i = from; i < clips.size(); i++) {
            if (clips.get(i).start().samples() < place) {
                return false;
            }
        }
        return true;
    }

    private SoundSource opened(int index) {
        if (index != openIndex) {
            open = opener.apply(clips.get(index).cue());
            openIndex = index;
        }
        return open;
    }
}
