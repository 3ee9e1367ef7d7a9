package org.logophon.core.voice.recording;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Sound;

/**
 * The voice activity in a room that is never quite silent. Levels are taken each 10 ms; the room's noise is what the
 * quietest of them have in common.
 *
 * @param levels   dB under full scale of each 10 ms
 * @param noiseDb  of the room
 * @param speechDb of the louder speech
 */
public record Activity(float[] levels, double noiseDb, double speechDb, int rate) {

    static final double STEP_SECONDS = 0.010;
    /** So far over the noise somebody speaks, at the least; and so much of the way up to the speech. Ours. */
    private static final double OVER_NOISE_DB = 6;

    private static final double WAY = 0.22;
    /**
     * What is so far under the speech is none, however quiet the quietest moment: some programs shut the room out at
     * times.
     */
    private static final double UNDER_SPEECH_DB = 36;

    private static final double SHORTEST_PAUSE_SECONDS = 0.06;
    private static final float LEAST_DB = -110;

    /** From one sample to another. */
    public record Span(int from, int to) {}

    public static Activity of(Sound sound) {
        int step = (int) Math.round(STEP_SECONDS * sound.rate());
        int count = Math.max(1, sound.samples().length / step);
        float[] levels = new float[count];
        for (int i = 0; i < count; i++) {
            int from = i * step;
            double rms = sound.rms(from, Math.min(sound.samples().length, from + step));
            levels[i] = (float) Math.max(LEAST_DB, Decibels.ofFactor(Math.max(1e-9, rms)));
        }
        float[] sorted = levels.clone();
        Arrays.sort(sorted);
        return new Activity(levels, sorted[count / 20], sorted[count * 19 / 20], sound.rate());
    }

    /** Louder than this, something sounds. */
    public double thresholdDb() {
        double overNoise = noiseDb + Math.max(OVER_NOISE_DB, WAY * (speechDb - noiseDb));
        return Math.max(overNoise, speechDb - UNDER_SPEECH_DB);
    }

    /**
     * From the first sample in which something sounds to the last, with so much kept around; all of it when nothing
     * does.
     */
    public Span speech(double keepSeconds, int samples) {
        int first = 0;
        int last = levels.length - 1;
        while (first < levels.length && levels[first] < thresholdDb()) {
            first++;
        }
        while (last > first && levels[last] < thresholdDb()) {
            last--;
        }
        if (first >= levels.length) {
            return new Span(0, samples);
        }
        int keep = (int) Math.round(keepSeconds * rate);
        return new Span(Math.max(0, sample(first) - keep), Math.min(samples, sample(last + 1) + keep));
    }

    /** Where nothing sounds, between what does, in order. */
    public List<Span> pauses() {
        List<Span> pauses = new ArrayList<>();
        int quiet = -1;
        boolean sounded = false;
        for (int i = 0; i < levels.length; i++) {
            if (levels[i] < thresholdDb()) {
                quiet = quiet < 0 ? i : quiet;
            } else {
                if (sounded && quiet >= 0 && (i - quiet) * STEP_SECONDS >= SHORTEST_PAUSE_SECONDS) {
                    pauses.add(new Span(sample(quiet), sample(i)));
                }
                quiet = -1;
                sounded = true;
            }
        }
        return pauses;
    }

    /** Where something sounds, parted by the pauses. */
    public List<Span> spans(int samples) {
        List<Span> spans = new ArrayList<>();
        Span speech = speech(0, samples);
        int from = speech.from();
        for (Span pause : pauses()) {
            spans.add(new Span(from, pause.from()));
            from = pause.to();
        }
        spans.add(new Span(from, speech.to()));
        return spans;
    }

    private int sample(int step) {
        return (int) Math.round(step * STEP_SECONDS * rate);
    }
}
