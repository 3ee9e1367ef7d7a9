package org.logophon.app.speech;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** One period of each sound of {@link MadeUpSpeech}: the harmonics of a pitch, loud near two resonances. */
final class Waves {

    private static final int PERIOD = 512;
    private static final double HIGHEST_HERTZ = 5_000;
    private static final double WIDTH_HERTZ = 120;

    private static final Map<Long, float[]> MADE = new ConcurrentHashMap<>();

    private Waves() {}

    /** @return samples of one period, −1…1 */
    static float[] of(int letter, int hertz) {
        return MADE.computeIfAbsent(((long) letter << 32) + hertz, key -> made(letter, hertz));
    }

    private static float[] made(int letter, int hertz) {
        double low = 250 + 600.0 * Math.floorMod(letter * 7, 11) / 11;
        double high = 950 + 1_800.0 * Math.floorMod(letter * 5, 13) / 13;
        double[] sum = new double[PERIOD];
        double most = 0;
        for (int harmonic = 1; harmonic * hertz < HIGHEST_HERTZ; harmonic++) {
            double loud = 0.02 + near(harmonic * hertz, low) + 0.7 * near(harmonic * hertz, high);
            for (int i = 0; i < PERIOD; i++) {
                // at phases that keep the sum from being one peak (Schroeder, IEEE Trans. Information Theory 16, 1970)
                sum[i] += loud * Math.sin(2 * Math.PI * harmonic * i / PERIOD + Math.PI * harmonic * harmonic / 16);
            }
        }
        for (double one : sum) {
            most = Math.max(most, Math.abs(one));
        }
        float[] period = new float[PERIOD];
        for (int i = 0; i < PERIOD; i++) {
            period[i] = (float) (sum[i] / most);
        }
        return period;
    }

    private static double near(double hertz, double peak) {
        double off = (hertz - peak) / WIDTH_HERTZ;
        return 1 / (1 + off * off);
    }
}
