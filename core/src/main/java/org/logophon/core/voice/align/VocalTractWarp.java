package org.logophon.core.voice.align;

import org.logophon.core.signal.sound.Sound;

/**
 * The ratio of two speakers' vocal tracts: a shorter one has all its resonances higher by one factor (Lee
 * and Rose, IEEE SAP 6, 1998). Without it a woman's voice and a man's are hardly more alike where they say the same
 * than where they don't.
 */
final class VocalTractWarp {

    /** From a child's to a giant's. */
    static final double[] FACTORS = {0.84, 0.92, 1, 1.08, 1.16, 1.25};

    private VocalTractWarp() {}

    /** The steps of a voice, as if it had the throat of the one that it is compared with. */
    static MelCepstra fitting(Sound voice, MelCepstra asked, double highestHertz) {
        MelCepstra best = null;
        double least = Double.MAX_VALUE;
        float[][] thinned = thinned(asked.frames());
        MelCepstra.Spectra spectra = MelCepstra.Spectra.of(voice, MelCepstra.STEP_SECONDS);
        for (double factor : FACTORS) {
            MelCepstra steps = MelCepstra.of(spectra, highestHertz, factor);
            double distance = distance(thinned(steps.frames()), thinned);
            if (distance < least) {
                least = distance;
                best = steps;
            }
        }
        return best;
    }

    private static double distance(float[][] one, float[][] other) {
        int[] path = Warp.path(one, other);
        double sum = 0;
        for (int i = 0; i < one.length; i++) {
            sum += Warp.distance(one[i], other[Math.min(other.length - 1, (path[i] + path[i + 1]) / 2)]);
        }
        return sum / one.length;
    }

    private static float[][] thinned(float[][] frames) {
        float[][] thinned = new float[(frames.length + 1) / 2][];
        for (int i = 0; i < thinned.length; i++) {
            thinned[i] = frames[2 * i];
        }
        return thinned;
    }
}
