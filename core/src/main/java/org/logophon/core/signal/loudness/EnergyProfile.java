package org.logophon.core.signal.loudness;

import java.util.Arrays;
import org.logophon.core.signal.sound.SoundSource;

/**
 * How loud a sound is from moment to moment: K-weighted mean squares (ITU-R BS.1770-5) of steps of 100 ms. Any
 * stretches of it can be told without reading it again.
 */
public final class EnergyProfile {

    private static final int STEPS_A_SECOND = 10;
    private static final double OFFSET = -0.691;
    /** BS.1770's absolute gate, LUFS. */
    private static final double GATE = -70;

    private final float[] steps;

    private EnergyProfile(float[] steps) {
        this.steps = steps;
    }

    public static EnergyProfile of(SoundSource sound) {
        int step = sound.rate() / STEPS_A_SECOND;
        float[] steps = new float[(int) ((sound.length() + step - 1) / step)];
        KWeighting filter = new KWeighting(sound.rate());
        long[] at = {0};
        sound.readAll((samples, count) -> {
            for (int from = 0; from < count; ) {
                int index = (int) (at[0] / step);
                int to = (int) Math.min(count, from + step - at[0] % step);
                steps[index] += (float) filter.energy(samples, from, to, 1);
                at[0] += to - from;
                from = to;
            }
        });
        for (int i = 0; i < steps.length; i++) {
            steps[i] /= Math.max(1, Math.min(step, sound.length() - (long) i * step));
        }
        return new EnergyProfile(steps);
    }

    /** Adds up stretches of a sound. */
    public final class Sum {

        private double energy;
        private double weight;

        /** @param fromSeconds of the sound. @param toSeconds later, or the same */
        public void add(double fromSeconds, double toSeconds) {
            int first = Math.max(0, (int) Math.floor(fromSeconds * STEPS_A_SECOND));
            int last = Math.min(steps.length, (int) Math.ceil(toSeconds * STEPS_A_SECOND));
            for (int i = first; i < last; i++) {
                double share = Math.min(toSeconds * STEPS_A_SECOND, i + 1) - Math.max(fromSeconds * STEPS_A_SECOND, i);
                energy += steps[i] * share;
                weight += share;
            }
        }

        /** In LUFS, without a relative gate; −∞ for silence and for nothing. */
        public double lufs() {
            double lufs =
                    weight <= 0 || energy <= 0 ? Double.NEGATIVE_INFINITY : OFFSET + 10 * Math.log10(energy / weight);
            return lufs < GATE ? Double.NEGATIVE_INFINITY : lufs;
        }
    }

    public Sum sum() {
        return new Sum();
    }

    /** Of its steps that are heard: those over the absolute gate, and no more than 10 LU under their mean. */
    public double lufs() {
        double gate = Math.pow(10, (GATE - OFFSET) / 10);
        double mean =
                Arrays.stream(doubles()).filter(step -> step > gate).average().orElse(0);
        double gated = Arrays.stream(doubles())
                .filter(step -> step > gate && step > mean / 10)
                .average()
                .orElse(0);
        return gated <= 0 ? Double.NEGATIVE_INFINITY : OFFSET + 10 * Math.log10(gated);
    }

    private double[] doubles() {
        double[] all = new double[steps.length];
        Arrays.setAll(all, i -> steps[i]);
        return all;
    }
}
