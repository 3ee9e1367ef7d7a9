package org.logophon.core.signal.prosody;

import java.util.Random;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Sound;

/** Breaths of a voice: noise through its own average vocal tract, rising and falling. */
public final class BreathSound {

    private static final double FRAME_SECONDS = 0.030;

    private final int rate;
    private final double[] filter;
    private final double speechRms;

    /** @param voice speech of the voice that breathes */
    public BreathSound(Sound voice) {
        this.rate = voice.rate();
        int order = LinearPrediction.order(rate);
        int frame = (int) (FRAME_SECONDS * rate);
        float[] x = voice.samples();
        double loudest = 0;
        for (int at = 0; at + frame <= x.length; at += frame) {
            loudest = Math.max(loudest, energy(x, at, frame));
        }
        double[] r = new double[order + 1];
        double sum = 0;
        int frames = 0;
        for (int at = 0; at + frame <= x.length; at += frame) {
            double energy = energy(x, at, frame);
            if (energy < loudest * 0.01) {
                continue;
            }
            frames++;
            sum += energy / frame;
            for (int lag = 0; lag <= order; lag++) {
                double product = 0;
                for (int i = at + lag; i < at + frame; i++) {
                    product += x[i] * x[i - lag];
                }
                r[lag] += product / energy;
            }
        }
        this.speechRms = frames == 0 ? 0 : Math.sqrt(sum / frames);
        this.filter = frames == 0
                ? new double[order]
                : LinearPrediction.ofCorrelation(r, frame).filter();
    }

    private static double energy(float[] x, int at, int frame) {
        double energy = 1e-12;
        for (int i = at; i < at + frame; i++) {
            energy += x[i] * x[i];
        }
        return energy;
    }

    /**
     * One breath: in, with its peak at two thirds.
     *
     * @param seconds how long
     * @param underDb how far under the speech, its root mean square against the speech's
     * @param seed    the same breath for the same seed
     */
    public Sound breath(double seconds, double underDb, long seed) {
        int length = (int) Math.round(seconds * rate);
        Random random = new Random(seed);
        double[] memory = new double[filter.length];
        double[] noise = new double[length];
        double energy = 1e-12;
        double peak = length * 2.0 / 3;
        for (int i = 0; i < length; i++) {
            double value = random.nextGaussian();
            for (int k = 0; k < filter.length; k++) {
                value -= filter[k] * memory[k];
            }
            System.arraycopy(memory, 0, memory, 1, Math.max(0, filter.length - 1));
            if (filter.length > 0) {
                memory[0] = value;
            }
            double rise = i < peak ? i / peak : (length - i) / (length - peak);
            noise[i] = value * Math.sin(Math.PI / 2 * rise) * Math.sin(Math.PI / 2 * rise);
            energy += noise[i] * noise[i];
        }
        double gain = speechRms * Decibels.toFactor(-underDb) / Math.sqrt(energy / Math.max(1, length));
        float[] out = new float[length];
        for (int i = 0; i < length; i++) {
            out[i] = (float) (noise[i] * gain);
        }
        return new Sound(out, rate);
    }
}
