package org.logophon.core.time.coding;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.logophon.core.signal.sound.Loudest;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.signal.wav.SampleFormat;

/**
 * A sound that lies in a file of bare samples while it is worked on: 32-bit floating point, little-endian.
 *
 * @param scale that its samples are read with: under 1 where the file went over full scale
 */
public record FloatFile(Path file, int rate, long length, double scale) implements SoundSource {

    /** Shorter than any word, and than what a loudness can be told of. Ours. */
    private static final double SHORTEST_SECONDS = 0.05;
    /** Less over full scale is how lossy codecs round. Common practice, no source. */
    private static final double TOLD_OVER_DB = 1;

    /** Writes a sound into a file. */
    public static FloatFile of(SoundSource sound, Path file) throws IOException {
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file), 1 << 16)) {
            sound.readAll((samples, count) -> write(out, samples, count));
        } catch (UncheckedIOException failed) {
            throw failed.getCause();
        }
        return new FloatFile(file, sound.rate(), sound.length(), 1);
    }

    /**
     * Decodes a file of any format that is read.
     *
     * @param into        where the samples lie from now on
     * @param mostSeconds longer is refused
     * @throws CodingFailed with a sentence without the file's name: "can't be read: …", "is longer than…"; also for
     *                      samples that are no finite numbers (IEEE 754 has such), and for less than 50 ms
     */
    public static FloatFile decoded(Coder coder, Path coded, Path into, int rate, int mostSeconds) throws IOException {
        long[] count = {0};
        float[] loudest = {0};
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(into), 1 << 16)) {
            coder.decode(coded, rate, (block, length) -> {
                count[0] += length;
                if (count[0] > (long) mostSeconds * rate) {
                    throw new UncheckedIOException(
                            new CodingFailed("is longer than " + mostSeconds / 3_600 + " hours. Cut it in two."));
                }
                loudest[0] = Math.max(loudest[0], loudest(block, length));
                write(out, block, length);
            });
        } catch (CodingFailed unreadable) {
            throw new CodingFailed("can't be read: " + unreadable.getMessage(), unreadable);
        } catch (UncheckedIOException failed) {
            throw failed.getCause();
        }
        if (count[0] == 0) {
            throw new CodingFailed("has no sound in it. Choose another file.");
        }
        if (count[0] < SHORTEST_SECONDS * rate) {
            throw new CodingFailed("is shorter than 0.05 s, and nothing can be heard in it. Choose another file.");
        }
        return new FloatFile(into, rate, count[0], Math.min(1, 1.0 / loudest[0]));
    }

    private static float loudest(float[] block, int length) {
        float loudest = Loudest.of(block, 0, length);
        if (!Float.isFinite(loudest)) {
            throw new UncheckedIOException(new CodingFailed(
                    "has samples that are no numbers (infinite, or not a number). Save it again, in 16 or 24 bits."));
        }
        return loudest;
    }

    /** What was done to it, as a sentence; empty for nothing that is worth telling. */
    public String remark() {
        double over = -20 * Math.log10(scale);
        return over < TOLD_OVER_DB
                ? ""
                : String.format(Locale.ROOT, "It went %.0f dB over full scale, and was brought down by as much.", over);
    }

    private static void write(OutputStream out, float[] samples, int count) {
        try {
            out.write(SampleFormat.FLOAT_32.encode(samples, count, 0));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void read(long from, long to, BlockReader reader) {
        float[] samples = new float[(int) Math.min(BLOCK, to - from)];
        ByteBuffer bytes = ByteBuffer.allocate(4 * samples.length).order(ByteOrder.LITTLE_ENDIAN);
        try (FileChannel channel = FileChannel.open(file)) {
            channel.position(4 * from);
            for (long at = from; at < to; ) {
                int count = (int) Math.min(samples.length, to - at);
                bytes.clear().limit(4 * count);
                while (bytes.hasRemaining()) {
                    if (channel.read(bytes) < 0) {
                        throw new IOException("The sound in " + file.getFileName() + " is cut off.");
                    }
                }
                bytes.flip().asFloatBuffer().get(samples, 0, count);
                if (scale != 1) {
                    for (int i = 0; i < count; i++) {
                        samples[i] = (float) (samples[i] * scale);
                    }
                }
                reader.block(samples, count);
                at += count;
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
