package org.logophon.app;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Function;
import org.logophon.app.speech.MadeUpSpeech;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.speech.Engines;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;

/** What a person would say into a microphone: one of our voices in a room that is never quite silent. */
final class PersonSaying {

    static final int RATE = 48_000;

    private PersonSaying() {}

    /**
     * In made-up speech, as the voices of an application under test have.
     *
     * @param before  seconds of room before the first words
     * @param between seconds of room after each text
     * @return WAV, 48 kHz
     */
    static byte[] wav(double before, double between, String... texts) {
        return wav(pool -> new MadeUpSpeech(), before, between, texts);
    }

    /** In words that somebody would understand. */
    static byte[] clearly(double before, double between, String... texts) {
        return wav(Engines::new, before, between, texts);
    }

    private static byte[] wav(
            Function<WorkerPool, SpeechEngine> speaking, double before, double between, String... texts) {
        List<float[]> parts = new ArrayList<>();
        try (WorkerPool pool = new WorkerPool(1)) {
            SpeechEngine engines = speaking.apply(pool);
            WorkerResampler resampler = new WorkerResampler(pool);
            parts.add(new float[(int) (before * RATE)]);
            for (String text : texts) {
                Sound said = engines.speak(new SpeechRequest(
                                NativeVoices.catalogue().find("otis").orElseThrow(), SpokenText.of(text), 1, 0))
                        .sound();
                parts.add(resampler.resample(said, RATE).samples());
                parts.add(new float[(int) (between * RATE)]);
            }
        }
        int length = parts.stream().mapToInt(part -> part.length).sum();
        float[] all = new float[length];
        int at = 0;
        for (float[] part : parts) {
            System.arraycopy(part, 0, all, at, part.length);
            at += part.length;
        }
        Random random = new Random(9);
        for (int i = 0; i < length; i++) {
            all[i] = (float) (0.5 * all[i] + random.nextGaussian() * 4e-4);
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            WavWriter.write(new Sound(all, RATE), SampleFormat.PCM_16, null, bytes);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return bytes.toByteArray();
    }
}
