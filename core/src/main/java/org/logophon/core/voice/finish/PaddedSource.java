package org.logophon.core.voice.finish;

import org.logophon.core.signal.sound.SoundSource;

/** A sound with silence before and after it, in samples. */
public record PaddedSource(SoundSource source, long head, long tail) implements SoundSource {

    @Override
    public int rate() {
        return source.rate();
    }

    @Override
    public long length() {
        return head + source.length() + tail;
    }

    @Override
    public void read(long from, long to, BlockReader reader) {
        long soundEnd = head + source.length();
        silence(Math.min(to, head) - from, reader);
        if (to > head && from < soundEnd) {
            source.read(Math.max(from, head) - head, Math.min(to, soundEnd) - head, reader);
        }
        silence(to - Math.max(from, soundEnd), reader);
    }

    private static void silence(long samples, BlockReader reader) {
        for (long left = samples; left > 0; left -= BLOCK) {
            int count = (int) Math.min(BLOCK, left);
            reader.block(new float[count], count);
        }
    }
}
