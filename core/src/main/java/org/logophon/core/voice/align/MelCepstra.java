package org.logophon.core.voice.align;

import java.util.Arrays;
import org.apache.commons.math3.transform.DftNormalization;
import org.apache.commons.math3.transform.FastFourierTransformer;
import org.apache.commons.math3.transform.TransformType;
import org.logophon.core.signal.sound.Sound;

/**
 * The spectral features of a sound, step by step: mel-cepstra (Davis and Mermelstein, IEEE ASSP 28, 1980) with their
 * slopes, each brought to the same mean and spread over the sound, so that two voices can be held against one another.
 *
 * @param frames      a step's values: cepstra first, then slopes
 * @param levels      a step's level, in dB under the loudest
 * @param loudest     power of the loudest step, or of one before it
 * @param stepSeconds from one step to the next; a step is in the middle of its window
 */
record MelCepstra(float[][] frames, float[] levels, double loudest, double stepSeconds) {

    static final double STEP_SECONDS = 0.010;
    private static final double WINDOW_SECONDS = 0.025;
    private static final int BANDS = 26;
    private static final int CEPSTRA = 13;
    private static final double LOWEST_HZ = 80;
    private static final double HIGHEST_HZ = 7_600;
    /** Slopes are taken over so many steps to each side. */
    private static final int REACH = 2;
    /** Tried on our voices and on recordings: slopes find where a sound changes, which is what is asked. */
    private static final double SLOPES = 1.5;
    /** Quieter is taken for this quiet: noise under the speech has a shape of its own that says nothing. */
    private static final double FLOOR_DB = -60;

    private static final double[][] COSINES = new double[CEPSTRA][BANDS];

    static {
        for (int c = 0; c < CEPSTRA; c++) {
            for (int b = 0; b < BANDS; b++) {
                COSINES[c][b] = Math.cos(Math.PI * c * (b + 0.5) / BANDS);
            }
        }
    }

    /** The highest frequency that a sound of this rate can be compared in. */
    static double highestHertz(int rate) {
        return Math.min(HIGHEST_HZ, rate * 0.475);
    }

    static MelCepstra of(Sound sound, double highestHertz) {
        return of(sound, highestHertz, 1);
    }

    /** @param throat as {@link #raw} takes it */
    static MelCepstra of(Sound sound, double highestHertz, double throat) {
        return of(Spectra.of(sound, STEP_SECONDS), highestHertz, throat);
    }

    static MelCepstra of(Spectra spectra, double highestHertz, double throat) {
        MelCepstra raw = raw(spectra, highestHertz, throat, 1e-12);
        slopes(raw.frames());
        normalise(raw.frames(), new boolean[raw.frames().length]);
        return raw;
    }

    /**
     * Before slopes, and not brought to a mean: a part of a longer sound.
     *
     * @param throat  by how much its resonances are moved up: over 1 for a shorter vocal tract than the speaker has
     * @param loudestBefore power that was the loudest before it, as an earlier part gave it
     */
    static MelCepstra raw(Sound sound, double highestHertz, double stepSeconds, double throat, double loudestBefore) {
        return raw(Spectra.of(sound, stepSeconds), highestHertz, throat, loudestBefore);
    }

    private static MelCepstra raw(Spectra spectra, double highestHertz, double throat, double loudestBefore) {
        double[][] bands = spectra.bands(highestHertz, throat);
        int count = bands.length;
        double loudest = loudestBefore;
        for (double[] frame : bands) {
            loudest = Math.max(loudest, sum(frame));
        }
        double floor = loudest / BANDS * Math.pow(10, FLOOR_DB / 10);
        float[][] frames = new float[count][2 * CEPSTRA];
        float[] levels = new float[count];
        for (int f = 0; f < count; f++) {
            levels[f] = (float) (10 * Math.log10(Math.max(1e-12, sum(bands[f]) / loudest)));
            cepstrum(bands[f], floor, frames[f]);
        }
        return new MelCepstra(frames, levels, loudest, spectra.step() / (double) spectra.rate());
    }

    private static double sum(double[] values) {
        double sum = 0;
        for (double value : values) {
            sum += value;
        }
        return sum;
    }

    /** Power of each line of the spectrum, step by step: from it steps are made for any throat. */
    record Spectra(float[][] powers, int size, int rate, int step) {

        static Spectra of(Sound sound, double stepSeconds) {
            int step = (int) Math.round(stepSeconds * sound.rate());
            int window = (int) Math.round(WINDOW_SECONDS * sound.rate());
            int count = Math.max(1, (sound.samples().length + step - 1) / step);
            int size = Integer.highestOneBit(Math.max(2, window - 1)) << 1;
            double[] shape = new double[window];
            for (int i = 0; i < window; i++) {
                shape[i] = 0.54 - 0.46 * Math.cos(2 * Math.PI * i / (window - 1));
            }
            float[] x = sound.samples();
            float[][] powers = new float[count][size / 2 + 1];
            double[][] frame = new double[2][size];
            for (int f = 0; f < count; f++) {
                int from = f * step + step / 2 - window / 2;
                Arrays.fill(frame[0], 0);
                Arrays.fill(frame[1], 0);
                for (int i = Math.max(0, 1 - from); i < window && from + i < x.length; i++) {
                    // pre-emphasis: speech falls off towards the high sounds that tell consonants apart
                    frame[0][i] = (x[from + i] - 0.97 * x[from + i - 1]) * shape[i];
                }
                FastFourierTransformer.transformInPlace(frame, DftNormalization.STANDARD, TransformType.FORWARD);
                for (int i = 0; i <= size / 2; i++) {
                    powers[f][i] = (float) (frame[0][i] * frame[0][i] + frame[1][i] * frame[1][i]);
                }
            }
            return new Spectra(powers, size, sound.rate(), step);
        }

        private double[][] bands(double highestHertz, double throat) {
            double[] places = places(size, rate * throat, highestHertz);
            double[][] bands = new double[powers.length][BANDS];
            for (int f = 0; f < powers.length; f++) {
                for (int i = 0; i < places.length; i++) {
                    spread(powers[f][i], places[i], bands[f]);
                }
            }
            return bands;
        }
    }

    /** Each band is a triangle over its neighbours' middles: a power falls into two of them. */
    private static void spread(double power, double place, double[] bands) {
        int above = (int) Math.floor(place);
        double part = place - above;
        if (above >= 0 && above < BANDS) {
            bands[above] += power * part;
        }
        if (above >= 1 && above <= BANDS) {
            bands[above - 1] += power * (1 - part);
        }
    }

    /**
     * Where each line of the spectrum stands among the bands; band {@code b} reaches from {@code b} to {@code b + 2}.
     */
    private static double[] places(int size, double rate, double highestHertz) {
        double low = mel(LOWEST_HZ);
        double wide = (mel(highestHertz) - low) / (BANDS + 1);
        double[] places = new double[size / 2 + 1];
        for (int i = 0; i <= size / 2; i++) {
            places[i] = (mel(i * rate / size) - low) / wide;
        }
        return places;
    }

    private static double mel(double hertz) {
        return 2595 * Math.log10(1 + hertz / 700);
    }

    private static void cepstrum(double[] bands, double floor, float[] into) {
        double[] logs = new double[BANDS];
        for (int b = 0; b < BANDS; b++) {
            logs[b] = Math.log(Math.max(floor, bands[b]));
        }
        for (int c = 0; c < CEPSTRA; c++) {
            double sum = 0;
            for (int b = 0; b < BANDS; b++) {
                sum += logs[b] * COSINES[c][b];
            }
            into[c] = (float) sum;
        }
    }

    static void slopes(float[][] frames) {
        for (int f = 0; f < frames.length; f++) {
            for (int c = 0; c < CEPSTRA; c++) {
                float sum = 0;
                for (int d = 1; d <= REACH; d++) {
                    sum += d * (frames[Math.min(frames.length - 1, f + d)][c] - frames[Math.max(0, f - d)][c]);
                }
                frames[f][CEPSTRA + c] = sum;
            }
        }
    }

    /** @param left steps that don't count: where nobody speaks */
    static void normalise(float[][] frames, boolean[] left) {
        for (int c = 0; c < 2 * CEPSTRA; c++) {
            double sum = 0;
            double squares = 0;
            int count = 0;
            for (int f = 0; f < frames.length; f++) {
                if (!left[f]) {
                    sum += frames[f][c];
                    squares += (double) frames[f][c] * frames[f][c];
                    count++;
                }
            }
            double mean = count == 0 ? 0 : sum / count;
            double spread = Math.sqrt(Math.max(1e-12, count == 0 ? 1 : squares / count - mean * mean));
            double weight = (c < CEPSTRA ? 1 : SLOPES) / spread;
            for (float[] frame : frames) {
                frame[c] = (float) ((frame[c] - mean) * weight);
            }
        }
    }
}
