package org.logophon.cli.recording;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.logophon.cli.input.InputUnusable;
import org.logophon.core.delivery.WholeFile;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.logophon.core.time.coding.CodingFailed;
import org.logophon.core.time.coding.FloatFile;
import org.logophon.speech.coding.FfmpegCoder;

/** A file of any sound that is read, as bare samples in a file of its own while it is worked on. */
public final class RecordingFile implements AutoCloseable {

    private static final int RATE = 48_000;
    private static final int MOST_SECONDS = 7_200;

    private final Path samples;
    private final FloatFile sound;

    private RecordingFile(Path samples, FloatFile sound) {
        this.samples = samples;
        this.sound = sound;
    }

    /**
     * @param told gets what was done to it while it was read
     * @throws InputUnusable with a sentence when it is no sound, or too long
     */
    public static RecordingFile open(Path file, PrintWriter told) throws IOException {
        if (!Files.isReadable(file) || Files.isDirectory(file)) {
            throw new InputUnusable(file + " can't be read. Check its name.");
        }
        Path samples = Files.createTempFile("logophon-samples", ".f32");
        try {
            FloatFile sound = FloatFile.decoded(new FfmpegCoder(), file, samples, RATE, MOST_SECONDS);
            if (!sound.remark().isEmpty()) {
                told.println(file.getFileName() + ": " + sound.remark());
            }
            return new RecordingFile(samples, sound);
        } catch (CodingFailed unreadable) {
            Files.deleteIfExists(samples);
            throw new InputUnusable(file.getFileName() + " " + unreadable.getMessage());
        }
    }

    SoundSource sound() {
        return sound;
    }

    public Sound whole() {
        return sound.inMemory();
    }

    /** Writes a sound as WAV of 24 bits: whole, or not at all. */
    static void write(Sound sound, Path file) throws IOException {
        WholeFile.write(file, out -> WavWriter.write(sound, SampleFormat.PCM_24, null, out));
    }

    @Override
    public void close() throws IOException {
        Files.deleteIfExists(samples);
    }
}
