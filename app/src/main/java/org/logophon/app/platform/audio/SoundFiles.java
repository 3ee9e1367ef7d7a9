package org.logophon.app.platform.audio;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.logophon.app.platform.failure.Refused;
import org.logophon.core.time.coding.Coder;
import org.logophon.core.time.coding.CodingFailed;
import org.logophon.core.time.coding.FloatFile;
import org.springframework.stereotype.Component;

/** Files that people bring in, as sound at one rate. They lie on the disk while they are read, and never in memory. */
@Component
public class SoundFiles {

    public static final int RATE = 48_000;
    /** Two hours of the largest usual WAV, in two channels of 24 bits. */
    private static final long MOST_BYTES = 2L * 3 * RATE * 7_200 + (1 << 20);

    private static final int MOST_SECONDS = 7_200;

    private final Coder coder;

    SoundFiles(Coder coder) {
        this.coder = coder;
    }

    /** Works on a sound that lies in a file until it is done. */
    public interface Work<T> {

        T of(FloatFile sound) throws IOException;
    }

    /**
     * @param sent any format that is read, one channel or more
     * @throws Refused with a sentence when it is no sound, or too long
     */
    public <T> T read(InputStream sent, String name, Work<T> work) throws IOException {
        Path file = Files.createTempFile("logophon-brought", ".part");
        Path samples = Files.createTempFile("logophon-samples", ".f32");
        try {
            receive(sent, file, name);
            return work.of(decoded(file, samples, name));
        } finally {
            Files.deleteIfExists(file);
            Files.deleteIfExists(samples);
        }
    }

    private static void receive(InputStream sent, Path file, String name) throws IOException {
        long bytes = 0;
        byte[] block = new byte[1 << 16];
        try (OutputStream out = Files.newOutputStream(file)) {
            for (int got = sent.read(block); got >= 0; got = sent.read(block)) {
                bytes += got;
                if (bytes > MOST_BYTES) {
                    throw new Refused(name + " is too large. A recording is two hours at most; cut it in two.");
                }
                out.write(block, 0, got);
            }
        }
        if (bytes == 0) {
            throw new Refused(name + " is empty. Choose another file.");
        }
    }

    private FloatFile decoded(Path file, Path samples, String name) throws IOException {
        try {
            return FloatFile.decoded(coder, file, samples, RATE, MOST_SECONDS);
        } catch (CodingFailed unreadable) {
            throw new Refused(name + " " + unreadable.getMessage());
        }
    }
}
