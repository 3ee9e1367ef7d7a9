package org.logophon.core.signal.wav;

import java.io.IOException;
import java.io.OutputStream;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;

/** Writes mono WAV, block by block. */
public final class WavWriter {

    private WavWriter() {}

    /** @param extension null for none */
    public static void write(SoundSource sound, SampleFormat format, BroadcastExtension extension, OutputStream out)
            throws IOException {
        WavFile file = new WavFile(sound, format, extension);
        file.write(0, file.size(), out);
    }

    /** @param xml document that it carries; empty for none */
    public static void write(
            SoundSource sound, SampleFormat format, BroadcastExtension extension, String xml, OutputStream out)
            throws IOException {
        WavFile file = new WavFile(sound, format, extension, xml);
        file.write(0, file.size(), out);
    }

    /** A sound that is in memory. */
    public static void write(Sound sound, SampleFormat format, BroadcastExtension extension, OutputStream out)
            throws IOException {
        write(SoundSource.of(sound), format, extension, out);
    }
}
