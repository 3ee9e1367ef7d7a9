package org.logophon.core.signal.prosody;

import java.util.Random;
import org.logophon.core.signal.sound.Sound;

/**
 * Turns a stretch of speech into a whisper: the vocal tract of each frame stays (linear prediction), and noise of the
 * frame's own energy takes the place of what the voice put into it. A slight tilt upward, since a whisper has less
 * below.
 */
public final class WhisperSound {

    private static final double FRAME_SECONDS = 0.024;
    private static final double EDGE_SECONDS = 0.008;
    /** First difference, mixed in: +3 dB or so from the bottom to the top. */
    private static final double TILT = 0.35;

    private WhisperSound() {}

    /**
     * @param from first sample that is whispered
     *
     * @param to after the last. The noise is the same for the same stretch
     */
    public static Sound whisper(Sound sound, int from, int to) {
        int rate = sound.rate();
        int frame = (int) (FRAME_SECONDS * rate) / 2 * 2;
        int hop = frame / 2;
        float[] x = sound.samples();
        double[] whispered = new double[to - from + 2 * frame];
        int order = LinearPrediction.order(rate);
        Random random = new Random(from * 31L + to);
        double[] memory = new double[order];
        double before = 0;
        double[] windowed = new double[frame];
        double[] noise = new double[frame];
        for (int at = -hop; at < to - from; at += hop) {
            double own = 0;
            for (int i = 0; i < frame; i++) {
                int source = from + at + i;
                double value = source < from || source >= to ? 0 : x[source];
                windowed[i] = value * hann(i, frame);
                own += windowed[i] * windowed[i];
            }
            if (own < 1e-9) {
                continue;
            }
            LinearPrediction tract = LinearPrediction.of(windowed, order);
            double energy = 0;
            for (int i = 0; i < frame; i++) {
                double value = random.nextGaussian();
                for (int k = 0; k < order; k++) {
                    value -= tract.filter()[k] * memory[k];
                }
                System.arraycopy(memory, 0, memory, 1, order - 1);
                memory[0] = value;
                noise[i] = (value - TILT * before) * hann(i, frame);
                before = value;
                energy += noise[i] * noise[i];
            }
            // each frame starts from rest: its neighbours overlap it
            java.util.Arrays.fill(memory, 0);
            double gain = Math.sqrt(own / Math.max(energy, 1e-12));
            for (int i = 0; i < frame; i++) {
                whispered[at + hop + i] += noise[i] * gain;
            }
        }
        float[] out = x.clone();
        int edge = Math.max(1, (int) (EDGE_SECONDS * rate));
        for (int i = from; i < to; i++) {
            double share = Math.min(1, Math.min(i - from + 1, to - i) / (double) edge);
            out[i] = (float) (x[i] * (1 - share) + whispered[i - from + hop] * share);
        }
        return new Sound(out, rate);
    }

    private static double hann(int i, int length) {
        return 0.5 - 0.5 * Math.cos(2 * Math.PI * (i + 0.5) / length);
    }
}
