package org.logophon.core.coding;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import org.logophon.core.sound.SoundSource;
import org.logophon.core.wav.SampleFormat;

/** A sound that lies in a file of bare samples while it is worked on: 32-bit floating point, little-endian. */
public record FloatFile(Path file, int rate, long length) implements SoundSource {

    /** Writes a sound into a file. */
    public static FloatFile of(SoundSource sound, Path file) throws IOException {
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file), 1 << 16)) {
            sound.readAll((samples, count) -> write(out, samples, count));
        } catch (UncheckedIOException failed) {
            throw failed.getCause();
        }
        return new FloatFile(file, sound.rate(), sound.length());
    }

    /**
     * Decodes a file of any format that is read.
     *
     * @param into        where the samples lie from now on
     * @param mostSeconds longer is refused
     * @throws CodingFailed with a sentence without the file's name: "can't be read: …", "is longer than…"
     */
    public static FloatFile decoded(Coder coder, Path coded, Path into, int rate, int mostSeconds) throws IOException {
        long[] count = {0};
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(into), 1 << 16)) {
            coder.decode(coded, rate, (block, length) -> {
                count[0] += length;
                if (count[0] > (long) mostSeconds * rate) {
                    throw new UncheckedIOException(
                            new CodingFailed("is longer than " + mostSeconds / 3_600 + " hours. Cut it in two."));
                }
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
        return new FloatFile(into, rate, count[0]);
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
                reader.block(samples, count);
                at += count;
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
