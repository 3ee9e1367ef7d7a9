package org.logophon.core.signal.loudness;

import java.util.Arrays;

/**
 * Programme loudness of one or more channels by ITU-R BS.1770-5: K-weighting, blocks of 400 ms overlapping by 75 %,
 * gates at −70 LUFS and 10 LU under the mean. All channels weigh 1 (left, right, centre). Feed sound in pieces of any
 * length; memory is one number for each 100 ms.
 */
public final class LoudnessMeter {

    private static final double OFFSET = -0.691;
    private static final double ABSOLUTE_GATE = -70;
    private static final double RELATIVE_GATE = -10;

    private final KWeighting[] filters;
    private final int step;
    private double[] steps = new double[1024];
    private int stepCount;
    private double sum;
    private int inStep;
    private double total;
    private long samples;

    public LoudnessMeter(int rate, int channels) {
        filters = new KWeighting[channels];
        Arrays.setAll(filters, i -> new KWeighting(rate));
        step = (int) Math.round(rate / 10.0);
    }

    /** Loudness of a whole mono sound. */
    public static Loudness of(org.logophon.core.signal.sound.Sound sound) {
        LoudnessMeter meter = new LoudnessMeter(sound.rate(), 1);
        meter.add(sound.samples(), sound.samples().length);
        return meter.loudness();
    }

    /**
     * @param interleaved frames of one sample a channel
     * @param length      samples to read, a multiple of the channels
     */
    public void add(float[] interleaved, int length) {
        int channels = filters.length;
        int frames = length / channels;
        int done = 0;
        while (done < frames) {
            int take = Math.min(frames - done, step - inStep);
            for (int c = 0; c < channels; c++) {
                sum += filters[c].energy(interleaved, done * channels + c, (done + take) * channels, channels);
            }
            done += take;
            inStep += take;
            if (inStep == step) {
                closeStep();
            }
        }
        samples += frames;
    }

    private void closeStep() {
        if (stepCount == steps.length) {
            steps = Arrays.copyOf(steps, 2 * stepCount);
        }
        steps[stepCount++] = sum;
        total += sum;
        sum = 0;
        inStep = 0;
    }

    public Loudness loudness() {
        if (samples == 0) {
            return new Loudness(Double.NEGATIVE_INFINITY, false);
        }
        if (stepCount < 4) {
            return new Loudness(lufs((total + sum) / samples), false);
        }
        double absolute = power(ABSOLUTE_GATE);
        double relative = gatedMean(absolute) * Math.pow(10, RELATIVE_GATE / 10);
        return new Loudness(lufs(gatedMean(Math.max(absolute, relative))), true);
    }

    private double gatedMean(double gate) {
        double sumOver = 0;
        int over = 0;
        for (int i = 0; i + 4 <= stepCount; i++) {
            double block = (steps[i] + steps[i + 1] + steps[i + 2] + steps[i + 3]) / (4.0 * step);
            if (block > gate) {
                sumOver += block;
                over++;
            }
        }
        return over == 0 ? 0 : sumOver / over;
    }

    private static double lufs(double power) {
        return power <= 0 ? Double.NEGATIVE_INFINITY : OFFSET + 10 * Math.log10(power);
    }

    private static double power(double lufs) {
        return Math.pow(10, (lufs - OFFSET) / 10);
    }
}
