package org.logophon.speech;

import java.util.function.UnaryOperator;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.Utterance;
import org.logophon.speech.worker.Frames;

/** espeak-ng in worker processes. */
public final class EspeakEngine implements SpeechEngine {

    /** The engine's own normal: 175 words a minute, pitch 50 of 99. */
    private static final int NORMAL_RATE = 175;

    private static final int NORMAL_PITCH = 50;
    /**
     * Measured over four voices: 50 steps of 99 move the median pitch by 8.2 semitones on average, not by the octave
     * promised.
     */
    private static final double PITCH_STEPS_PER_SEMITONE = 50 / 8.2;

    private static final long DEADLINE_MILLIS = 15_000;
    private static final long DEADLINE_MILLIS_PER_CHARACTER = 5;

    private final WorkerPool pool;
    private volatile String version;

    public EspeakEngine(WorkerPool pool) {
        this.pool = pool;
    }

    @Override
    public String version(Voice voice) {
        if (version == null) {
            version = pool.ask(out -> out.writeByte(Frames.HELLO), Frames::readText, DEADLINE_MILLIS);
        }
        return version;
    }

    @Override
    public Utterance speak(SpeechRequest request) {
        EspeakText given = EspeakText.of(request.text());
        String text = given.text();
        int rate = clamp(NORMAL_RATE * request.paceFactor(), 80, 450);
        int pitch = clamp(NORMAL_PITCH + request.semitones() * PITCH_STEPS_PER_SEMITONE, 0, 99);
        return pool.ask(
                out -> {
                    out.writeByte(Frames.SPEAK);
                    Frames.writeText(out, request.voice().engineVoice());
                    Frames.writeText(out, text);
                    out.writeInt(rate);
                    out.writeInt(pitch);
                },
                in -> SpokenFrames.read(in, given::spokenAt, UnaryOperator.identity()),
                DEADLINE_MILLIS + DEADLINE_MILLIS_PER_CHARACTER * text.length());
    }

    private static int clamp(double value, int least, int most) {
        return (int) Math.max(least, Math.min(most, Math.round(value)));
    }
}
