package org.logophon.app;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;

/** A steady tone of 440 Hz as a WAV file. */
final class ToneFile {

    private static final int RATE = 48_000;

    private ToneFile() {}

    /** @param level of its peaks, 1 for full scale */
    static byte[] of(double seconds, double level) {
        float[] samples = new float[(int) (seconds * RATE)];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) (level * Math.sin(2 * Math.PI * 440 * i / RATE));
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            WavWriter.write(new Sound(samples, RATE), SampleFormat.PCM_16, null, out);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toByteArray();
    }
}
