package org.logophon.core.signal.sound;

import java.util.Arrays;

/**
 * Mono sound that is read in blocks, from any place and as often as wanted: hours of it need never be held whole.
 * Reading fails with an {@link java.io.UncheckedIOException} when what lies behind it can't be read.
 */
public interface SoundSource {

    /** Most samples of a block. */
    int BLOCK = 1 << 16;

    /** Samples a second. */
    int rate();

    /** In samples. */
    long length();

    /** Gives the samples from one place to another, exclusive, in order. */
    void read(long from, long to, BlockReader reader);

    /** Takes the blocks of a sound. */
    @FunctionalInterface
    interface BlockReader {

        /**
         * @param samples to read and not to change; the array may be used again for the next block
         * @param count   of samples in it, from its start
         */
        void block(float[] samples, int count);
    }

    default void readAll(BlockReader reader) {
        read(0, length(), reader);
    }

    /** A sound that is in memory anyway; read whole, it is one block. */
    static SoundSource of(Sound sound) {
        return new SoundSource() {
            @Override
            public int rate() {
                return sound.rate();
            }

            @Override
            public long length() {
                return sound.samples().length;
            }

            @Override
            public void read(long from, long to, BlockReader reader) {
                float[] samples = sound.samples();
                reader.block(
                        from == 0 ? samples : Arrays.copyOfRange(samples, (int) from, (int) to), (int) (to - from));
            }
        };
    }

    /** All of it in memory: only for sounds that are known to be short. */
    default Sound inMemory() {
        return stretch(0, length());
    }

    /** A stretch of it in memory, as far as it is there. */
    default Sound stretch(long from, long to) {
        long first = Math.max(0, Math.min(from, length()));
        long end = Math.max(first, Math.min(to, length()));
        float[] all = new float[Math.toIntExact(end - first)];
        int[] at = {0};
        if (all.length > 0) {
            read(first, end, (samples, count) -> {
                System.arraycopy(samples, 0, all, at[0], count);
                at[0] += count;
            });
        }
        return new Sound(all, rate());
    }

    /** The same by its times. */
    default Sound stretch(double fromSeconds, double toSeconds) {
        return stretch(Math.round(fromSeconds * rate()), Math.round(toSeconds * rate()));
    }
}
