package org.logophon.core.voice.check;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.signal.sound.Sound;

/**
 * Leaps of single samples: the second difference stands far out of what it is around. A consonant's burst rings for
 * milliseconds and a voice's pulses come again with each period, so that what is around them is as rough as they are.
 * Thresholds are ours, tried on all voices.
 */
public final class Clicks {

    /** So many times the rest of its surroundings. */
    private static final double OUT = 6.5;
    /** And so much of full scale. */
    private static final double LEAST = 0.02;

    private static final double AROUND_SECONDS = 0.025;
    /** Left out around the place itself. */
    private static final double ITSELF_SECONDS = 0.0012;
    /** Nearer ones are one. */
    private static final double APART_SECONDS = 0.02;

    private Clicks() {}

    /** @return seconds, in order */
    public static List<Double> in(Sound sound) {
        float[] x = sound.samples();
        float[] rough = new float[x.length];
        for (int i = 1; i + 1 < x.length; i++) {
            rough[i] = Math.abs(x[i - 1] - 2 * x[i] + x[i + 1]);
        }
        int around = (int) (AROUND_SECONDS * sound.rate());
        int itself = (int) (ITSELF_SECONDS * sound.rate());
        List<Double> found = new ArrayList<>();
        for (int i = 1; i + 1 < x.length; i++) {
            if (rough[i] < LEAST) {
                continue;
            }
            if (rough[i] > OUT * high(rough, i, around, itself)
                    && (found.isEmpty() || i / (double) sound.rate() - found.get(found.size() - 1) > APART_SECONDS)) {
                found.add(i / (double) sound.rate());
            }
        }
        return found;
    }

    /** The most around a place, without itself. */
    private static double high(float[] rough, int at, int around, int itself) {
        double most = 1e-9;
        for (int i = Math.max(0, at - around); i < Math.min(rough.length, at + around + 1); i++) {
            most = Math.abs(i - at) > itself ? Math.max(most, rough[i]) : most;
        }
        return most;
    }
}
