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
            sound.readAll((samples, count) -> {
                try {
                    out.write(SampleFormat.FLOAT_32.encode(samples, count, 0));
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } catch (UncheckedIOException failed) {
            throw failed.getCause();
        }
        return new FloatFile(file, sound.rate(), sound.length());
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
