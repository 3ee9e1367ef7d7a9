package org.logophon.speech;

import java.io.DataInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.logophon.render.SpeechEngine;
import org.logophon.render.SpeechRequest;
import org.logophon.render.Utterance;
import org.logophon.render.Utterance.PhonemeStart;
import org.logophon.render.Utterance.WordStart;
import org.logophon.sound.Sound;
import org.logophon.speech.worker.Frames;

/** espeak-ng in worker processes. */
public final class EspeakEngine implements SpeechEngine {

    /** The engine's own normal: 175 words a minute, pitch 50 of 99. */
    private static final int NORMAL_RATE = 175;
    private static final int NORMAL_PITCH = 50;
    /** Measured over four voices: 50 steps of 99 move the median pitch by 8.2 semitones on average, not by the octave promised. */
    private static final double PITCH_STEPS_PER_SEMITONE = 50 / 8.2;
    private static final long DEADLINE_MILLIS = 15_000;
    private static final long DEADLINE_MILLIS_PER_CHARACTER = 5;

    private final WorkerPool pool;
    private volatile String version;

    public EspeakEngine(WorkerPool pool) {
        this.pool = pool;
    }

    @Override
    public String version() {
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
        return pool.ask(out -> {
            out.writeByte(Frames.SPEAK);
            Frames.writeText(out, request.voice().engineVoice());
            Frames.writeText(out, text);
            out.writeInt(rate);
            out.writeInt(pitch);
        }, in -> read(in, given), DEADLINE_MILLIS + DEADLINE_MILLIS_PER_CHARACTER * text.length());
    }

    private static Utterance read(DataInputStream in, EspeakText given) throws IOException {
        Sound sound;
        int rate = in.readInt();
        sound = Sound.ofPcm16(Frames.readShorts(in, 2 * Frames.MOST_SAMPLES), rate);
        int last = sound.samples().length;
        int[] words = Frames.readInts(in, Frames.MOST_FIELDS);
        int[] phonemes = Frames.readInts(in, Frames.MOST_FIELDS);
        List<WordStart> wordStarts = new ArrayList<>(words.length / 2);
        for (int i = 0; i < words.length; i += 2) {
            wordStarts.add(new WordStart(given.spokenAt(words[i]), Math.max(0, Math.min(last, words[i + 1]))));
        }
        List<PhonemeStart> phonemeStarts = new ArrayList<>(phonemes.length / 2);
        for (int i = 0; i < phonemes.length; i += 2) {
            phonemeStarts.add(new PhonemeStart(Math.max(0, Math.min(last, phonemes[i])), phonemes[i + 1] == 1));
        }
        return new Utterance(sound, wordStarts, phonemeStarts);
    }

    private static int clamp(double value, int least, int most) {
        return (int) Math.max(least, Math.min(most, Math.round(value)));
    }
}
