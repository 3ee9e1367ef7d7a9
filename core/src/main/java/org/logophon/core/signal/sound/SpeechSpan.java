package org.logophon.core.signal.sound;

import java.util.ArrayList;
import java.util.List;

/**
 * Where the speech in a sound starts and ends, in samples, the quiet before and after left out.
 *
 * @param from first sample
 * @param to   after the last sample; equal to {@code from} when the sound is silent
 */
public record SpeechSpan(int from, int to) {

    /** Quieter than this below the loudest sample is no speech: 50 dB. Ours. */
    private static final double FLOOR_DB = -50;

    public static SpeechSpan of(Sound sound) {
        float[] samples = sound.samples();
        float threshold = (float) (Loudest.of(samples) * Decibels.toFactor(FLOOR_DB));
        int from = 0;
        while (from < samples.length && Math.abs(samples[from]) <= threshold) {
            from++;
        }
        int to = samples.length;
        while (to > from && Math.abs(samples[to - 1]) <= threshold) {
            to--;
        }
        return new SpeechSpan(from, to);
    }

    /** The same span with {@code seconds} kept on both sides, as far as there is sound. */
    public SpeechSpan widened(double seconds, Sound sound) {
        int keep = (int) Math.round(seconds * sound.rate());
        return new SpeechSpan(Math.max(0, from - keep), Math.min(sound.samples().length, to + keep));
    }

    /** Stretches of 40 ms or more under the floor, inside the speech and in order. */
    public static List<SpeechSpan> pauses(Sound sound) {
        float[] samples = sound.samples();
        float threshold = (float) (Loudest.of(samples) * Decibels.toFactor(FLOOR_DB));
        SpeechSpan span = of(sound);
        int shortestPause = sound.rate() * 40 / 1000;
        List<SpeechSpan> pauses = new ArrayList<>();
        int quiet = 0;
        for (int i = span.from; i < span.to; i++) {
            if (Math.abs(samples[i]) <= threshold) {
                quiet++;
            } else {
                if (quiet >= shortestPause) {
                    pauses.add(new SpeechSpan(i - quiet, i));
                }
                quiet = 0;
            }
        }
        return pauses;
    }

    /** Seconds in which something sounds: {@link #pauses} don't count. */
    public static double soundingSeconds(Sound sound) {
        SpeechSpan span = of(sound);
        int quiet =
                pauses(sound).stream().mapToInt(pause -> pause.to - pause.from).sum();
        return (span.to - span.from - quiet) / (double) sound.rate();
    }
}
