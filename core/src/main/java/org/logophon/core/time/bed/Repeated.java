package org.logophon.core.time.bed;

import java.util.Arrays;
import org.logophon.core.signal.sound.SoundSource;

/**
 * A sound again and again: its end and its beginning sound together for a moment, at equal power, so that nobody hears
 * where it begins anew.
 *
 * @param length samples that it shall last
 */
record Repeated(SoundSource source, long length) implements SoundSource {

    /** Of the joint. Ours. */
    private static final int LONGEST_JOINT = 48_000 / 4;

    @Override
    public int rate() {
        return source.rate();
    }

    /** Samples after which it begins again. */
    long period() {
        return source.length() - joint();
    }

    private int joint() {
        return (int) Math.min(LONGEST_JOINT, source.length() / 4);
    }

    @Override
    public void read(long from, long to, BlockReader reader) {
        float[] block = new float[(int) Math.min(BLOCK, Math.max(0, to - from))];
        for (long start = from; start < to; start += BLOCK) {
            int count = (int) Math.min(BLOCK, to - start);
            Arrays.fill(block, 0, count, 0);
            for (long round = Math.max(0, start / period() - 1); round * period() < start + count; round++) {
                add(round, start, block, count);
            }
            reader.block(block, count);
        }
    }

    private void add(long round, long start, float[] block, int count) {
        long begins = round * period();
        long first = Math.max(start, begins);
        long last = Math.min(start + count, begins + source.length());
        if (first >= last) {
            return;
        }
        long[] at = {first};
        source.read(first - begins, last - begins, (samples, got) -> {
            for (int i = 0; i < got; i++) {
                long inside = at[0] - begins;
                block[(int) (at[0] - start)] += (float) (samples[i] * share(inside, round));
                at[0]++;
            }
        });
    }

    private double share(long inside, long round) {
        int joint = joint();
        if (inside < joint && round > 0) {
            return Math.sin(Math.PI / 2 * (inside + 0.5) / joint);
        }
        long left = source.length() - inside;
        return left <= joint ? Math.sin(Math.PI / 2 * (left - 0.5) / joint) : 1;
    }
}
