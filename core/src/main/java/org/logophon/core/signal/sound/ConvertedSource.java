package org.logophon.core.signal.sound;

import java.lang.ref.WeakReference;
import java.util.Arrays;

/**
 * A sound at another rate. A long one is converted in blocks, each with enough of its neighbours on both sides that the
 * converter's filter sees what it would see of the whole; blocks start where a sample of both rates stands. It is
 * exactly as long as its length in time comes to, to the nearest sample: converters differ by one.
 */
public final class ConvertedSource implements SoundSource {

    /** Around a block, more than any converter's filter reaches. Ours. */
    private static final int LEAST_MARGIN = 4_096;
    /** Up to this many samples at either rate a sound is converted at once. */
    public static final long AT_ONCE = 1 << 22;

    private final SoundSource source;
    private final Resampler resampler;
    private final int rate;
    private final long length;
    /** So many samples of the source last exactly as long as {@link #outStep} converted ones. */
    private final int inStep;

    private final int outStep;
    /** Hours of clips are held as sources: what was converted of one goes when memory is wanted, and is made again. */
    private WeakReference<SoundSource> whole = new WeakReference<>(null);

    private ConvertedSource(SoundSource source, int rate, Resampler resampler) {
        this.source = source;
        this.resampler = resampler;
        this.rate = rate;
        this.length = length(source.length(), source.rate(), rate);
        int common = gcd(rate, source.rate());
        this.inStep = source.rate() / common;
        this.outStep = rate / common;
    }

    /** The source itself when it has that rate. */
    public static SoundSource of(SoundSource source, int rate, Resampler resampler) {
        return source.rate() == rate ? source : new ConvertedSource(source, rate, resampler);
    }

    /** What so many samples come to at another rate, to the nearest sample. */
    public static long length(long samples, int from, int to) {
        return (samples * to + from / 2) / from;
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
        if (Math.max(length, source.length()) <= AT_ONCE) {
            whole().read(from, to, reader);
            return;
        }
        int blocks = Math.max(1, BLOCK / outStep);
        long size = (long) blocks * outStep;
        for (long start = from / size * size; start < to; start += size) {
            float[] block = block(start, Math.min(length, start + size));
            int first = (int) Math.max(0, from - start);
            int count = (int) (Math.min(to, start + block.length) - start) - first;
            reader.block(first == 0 ? block : Arrays.copyOfRange(block, first, first + count), count);
        }
    }

    private synchronized SoundSource whole() {
        SoundSource made = whole.get();
        if (made == null) {
            float[] samples = resampler.resample(source.inMemory(), rate).samples();
            made = SoundSource.of(
                    new Sound(samples.length == length ? samples : Arrays.copyOf(samples, (int) length), rate));
            whole = new WeakReference<>(made);
        }
        return made;
    }

    /** @param from a multiple of {@link #outStep} */
    private float[] block(long from, long to) {
        int steps = (LEAST_MARGIN + inStep - 1) / inStep;
        long before = Math.min(from / outStep, steps);
        long first = from / outStep * inStep - before * inStep;
        long last = Math.min(source.length(), (to + outStep - 1) / outStep * inStep + (long) steps * inStep);
        float[] window = new float[(int) (last - first)];
        int[] at = {0};
        source.read(first, last, (samples, count) -> {
            System.arraycopy(samples, 0, window, at[0], count);
            at[0] += count;
        });
        float[] made =
                resampler.resample(new Sound(window, source.rate()), rate).samples();
        int skip = (int) (before * outStep);
        return Arrays.copyOfRange(made, skip, skip + (int) (to - from));
    }

    private static int gcd(int a, int b) {
        return b == 0 ? a : gcd(b, a % b);
    }
}
