package org.logophon.cli.recording;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import org.logophon.cli.InputUnusable;
import org.logophon.core.coding.CodingFailed;
import org.logophon.core.coding.FloatFile;
import org.logophon.core.sound.Sound;
import org.logophon.core.sound.SoundSource;
import org.logophon.core.wav.SampleFormat;
import org.logophon.core.wav.WavWriter;
import org.logophon.speech.coding.FfmpegCoder;

/** A file of any sound that is read, as bare samples in a file of its own while it is worked on. */
public final class RecordingFile implements AutoCloseable {

    private static final int RATE = 48_000;
    private static final double MOST_SECONDS = 7_200;

    private final Path samples;
    private final FloatFile sound;

    private RecordingFile(Path samples, FloatFile sound) {
        this.samples = samples;
        this.sound = sound;
    }

    /** @throws InputUnusable with a sentence when it is no sound, or too long */
    public static RecordingFile open(Path file) throws IOException {
        if (!Files.isReadable(file) || Files.isDirectory(file)) {
            throw new InputUnusable(file + " can't be read. Check its name.");
        }
        Path samples = Files.createTempFile("logophon-samples", ".f32");
        long[] count = {0};
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(samples), 1 << 16)) {
            new FfmpegCoder().decode(file, RATE, (block, length) -> {
                count[0] += length;
                if (count[0] > MOST_SECONDS * RATE) {
                    throw new InputUnusable(file.getFileName() + " is longer than two hours. Cut it in two.");
                }
                try {
                    out.write(SampleFormat.FLOAT_32.encode(block, length, 0));
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } catch (CodingFailed unreadable) {
            Files.deleteIfExists(samples);
            throw new InputUnusable(file.getFileName() + " can't be read: " + unreadable.getMessage());
        }
        if (count[0] == 0) {
            Files.deleteIfExists(samples);
            throw new InputUnusable(file.getFileName() + " has no sound in it.");
        }
        return new RecordingFile(samples, new FloatFile(samples, RATE, count[0]));
    }

    SoundSource sound() {
        return sound;
    }

    public Sound whole() {
        return stretch(0, sound.length() / (double) RATE);
    }

    Sound stretch(double fromSeconds, double toSeconds) {
        long from = Math.max(0, Math.round(fromSeconds * RATE));
        long to = Math.max(from, Math.min(sound.length(), Math.round(toSeconds * RATE)));
        float[] all = new float[Math.toIntExact(to - from)];
        int[] at = {0};
        sound.read(from, to, (block, count) -> {
            System.arraycopy(block, 0, all, at[0], count);
            at[0] += count;
        });
        return new Sound(all, RATE);
    }

    /** Writes a sound as WAV of 24 bits: whole, or not at all. */
    static void write(Sound sound, Path file) throws IOException {
        Path part = file.resolveSibling("." + file.getFileName() + ".part");
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(part))) {
            WavWriter.write(sound, SampleFormat.PCM_24, null, out);
        }
        Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
    }

    @Override
    public void close() throws IOException {
        Files.deleteIfExists(samples);
    }
}
