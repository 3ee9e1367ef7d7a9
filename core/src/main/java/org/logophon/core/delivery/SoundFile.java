package org.logophon.core.delivery;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.logophon.core.signal.sound.ConvertedSource;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.signal.wav.BroadcastExtension;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.logophon.core.time.coding.LossyFile;
import org.logophon.core.time.coding.SoundFormat;
import org.logophon.core.time.coding.Tags;
import org.logophon.core.voice.finish.FinishSettings;
import org.logophon.core.voice.finish.Levelled;

/** Writes a sound in a wished format: WAV by this core, all others by the coder. */
public final class SoundFile {

    private SoundFile() {}

    /** Opens a sound when it is written. */
    @FunctionalInterface
    public interface Opened {
        SoundSource open() throws IOException;
    }

    /** @param extension for WAV; null for none */
    public static PartFile of(
            String path, Opened sound, SoundFormat format, Tags tags, BroadcastExtension extension, Sounds sounds) {
        return new PartFile(path, out -> write(sound.open(), format, tags, extension, sounds, out));
    }

    private static void write(
            SoundSource sound,
            SoundFormat format,
            Tags tags,
            BroadcastExtension extension,
            Sounds sounds,
            OutputStream out)
            throws IOException {
        if (format.kind() == SoundFormat.Kind.WAV) {
            WavWriter.write(atRate(sound, format, sounds), SampleFormat.of(format.bits()), extension, tags.note(), out);
            return;
        }
        Path file = Files.createTempFile("logophon-coded", "." + format.kind().extension());
        try {
            if (format.kind().lossy()) {
                LossyFile.write(sound, format, tags, sounds.coder(), file);
            } else {
                sounds.coder().code(atRate(sound, format, sounds), format, tags, file);
            }
            Files.copy(file, out);
        } finally {
            Files.deleteIfExists(file);
        }
    }

    /** At another rate peaks lie elsewhere: they are kept under the ceiling again. */
    private static SoundSource atRate(SoundSource sound, SoundFormat format, Sounds sounds) {
        if (sound.rate() == format.rate()) {
            return sound;
        }
        SoundSource converted = ConvertedSource.of(sound, format.rate(), sounds.resampler());
        LossyFile.Heard heard = LossyFile.heard(converted);
        return FinishSettings.keepsCeiling(heard.truePeakDbtp())
                ? converted
                : Levelled.to(converted, heard.loudness().lufs(), FinishSettings.CEILING_DBTP);
    }
}
