package org.logophon.core.voice.finish;

import java.util.Arrays;
import org.logophon.core.signal.loudness.PeakLimiter;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.SoundSource;

/**
 * A sound at its level. Where a limiter is at work, a block is made of a window that shows the limiter what is around
 * it.
 */
record LevelledSource(SoundSource source, Level level) implements SoundSource {

    @Override
    public int rate() {
        return source.rate();
    }

    @Override
    public long length() {
        return source.length();
    }

    @Override
    public void read(long from, long to, BlockReader reader) {
        float gain = (float) Decibels.toFactor(level.gainDb());
        if (!level.limited()) {
            source.read(from, to, (samples, count) -> reader.block(times(samples, count, gain), count));
            return;
        }
        PeakLimiter limiter = new PeakLimiter(rate(), level.ceiling());
        int margin = limiter.margin();
        for (long start = from; start < to; ) {
            long end = Math.min(to, start + BLOCK);
            long first = Math.max(0, start - margin);
            long last = Math.min(length(), end + margin);
            float[] window = new float[(int) (last - first)];
            int[] at = {0};
            source.read(first, last, (samples, count) -> {
                for (int i = 0; i < count; i++) {
                    window[at[0] + i] = samples[i] * gain;
                }
                at[0] += count;
            });
            float[] limited = limiter.limit(window);
            int skip = (int) (start - first);
            float[] block = Arrays.copyOfRange(limited, skip, skip + (int) (end - start));
            reader.block(level.rest() == 1 ? block : times(block, block.length, (float) level.rest()), block.length);
            start = end;
        }
    }

    private static float[] times(float[] samples, int count, float factor) {
        float[] out = new float[count];
        for (int i = 0; i < count; i++) {
            out[i] = samples[i] * factor;
        }
        return out;
    }
}
