package org.logophon.core.signal.pitch;

import org.logophon.core.signal.sound.Sound;

/**
 * Measures pitch by YIN (de Cheveigné and Kawahara, JASA 111, 2002, steps 2 to 5): the difference function, normalised
 * by its running mean, its first dip under a threshold, and a parabola through the dip. The sound is brought to about
 * 8 kHz first: voices from 60 to 500 Hz lose nothing, and the work falls to a ninth.
 */
public final class PitchMeter {

    /** What it looks for, in Hz: lower and higher is taken for an octave of it, or for nothing. */
    public static final double LOWEST_HZ = 60;

    public static final double HIGHEST_HZ = 500;
    private static final double WINDOW_SECONDS = 0.030;
    /** YIN's own figure is 0.1; synthetic vowels with noise in them sit a little higher. */
    private static final double DIP = 0.18;
    /** Without a dip under that, the deepest one still tells a rough voice from noise. */
    private static final double STILL_VOICED = 0.35;
    /** Frames this far under the loudest are silence, whatever their shape. */
    private static final double QUIET_DB = -40;

    private PitchMeter() {}

    public static PitchTrack track(Sound sound) {
        int every = Math.max(1, sound.rate() / 7_000);
        float[] samples = every == 1 ? sound.samples() : thinned(sound.samples(), every);
        double rate = sound.rate() / (double) every;
        int window = (int) Math.round(WINDOW_SECONDS * rate);
        int longest = (int) Math.ceil(rate / LOWEST_HZ);
        int shortest = (int) Math.floor(rate / HIGHEST_HZ);
        int frames = Math.max(0, (int) ((samples.length - window - longest) / (PitchTrack.HOP_SECONDS * rate)) + 1);
        if (samples.length < window + longest) {
            frames = 0;
        }
        float[] hertz = new float[(int) Math.ceil(sound.seconds() / PitchTrack.HOP_SECONDS)];
        double[] difference = new double[longest + 2];
        double floor = loudestFrame(samples, window) * Math.pow(10, QUIET_DB / 10);
        // a frame looks at window + lag samples; its value belongs to the middle of them
        int middle = (int) Math.round((window + longest) / 2.0 / rate / PitchTrack.HOP_SECONDS);
        for (int f = 0; f < frames && f + middle < hertz.length; f++) {
            int at = (int) Math.round(f * PitchTrack.HOP_SECONDS * rate);
            if (at + window + longest < samples.length && energy(samples, at, window) > floor) {
                double lag = bestLag(samples, at, window, shortest, longest, difference);
                hertz[f + middle] = lag > 0 ? (float) (rate / lag) : 0;
            }
        }
        return new PitchTrack(hertz);
    }

    /** Of lags that are looked at together, which spares reading the samples anew for each. */
    private static final int AT_ONCE = 4;

    private static double bestLag(float[] x, int at, int window, int shortest, int longest, double[] difference) {
        double running = 0;
        difference[0] = 1;
        int lag = 1;
        // most voices dip long before the longest lag, and nothing behind the first dip is asked for
        int dip = 0;
        while (lag <= longest) {
            int until = Math.min(longest + 1, lag + AT_ONCE);
            differences(x, at, window, lag, until, difference);
            for (; lag < until; lag++) {
                float sum = (float) difference[lag];
                running += sum;
                difference[lag] = running == 0 ? 1 : sum * lag / running;
                if (dip == 0 && lag >= shortest && lag < longest && difference[lag] < DIP) {
                    dip = lag;
                } else if (dip != 0 && (lag == longest || difference[lag] >= difference[lag - 1])) {
                    return refined(difference, lag - 1);
                }
            }
        }
        int least = shortest;
        for (int one = shortest; one < longest; one++) {
            least = difference[one] < difference[least] ? one : least;
        }
        return least > shortest && difference[least] < STILL_VOICED ? refined(difference, least) : 0;
    }

    /** Sums of squared differences at the lags from one to before another, at most {@link #AT_ONCE} of them. */
    private static void differences(float[] x, int at, int window, int from, int until, double[] sums) {
        if (until - from < AT_ONCE) {
            for (int lag = from; lag < until; lag++) {
                float sum = 0;
                for (int i = at; i < at + window; i++) {
                    float d = x[i] - x[i + lag];
                    sum += d * d;
                }
                sums[lag] = sum;
            }
            return;
        }
        float first = 0;
        float second = 0;
        float third = 0;
        float fourth = 0;
        float next = x[at + from];
        float afterNext = x[at + from + 1];
        float thenNext = x[at + from + 2];
        for (int i = at; i < at + window; i++) {
            float here = x[i];
            float last = x[i + from + 3];
            float d = here - next;
            first += d * d;
            d = here - afterNext;
            second += d * d;
            d = here - thenNext;
            third += d * d;
            d = here - last;
            fourth += d * d;
            next = afterNext;
            afterNext = thenNext;
            thenNext = last;
        }
        sums[from] = first;
        sums[from + 1] = second;
        sums[from + 2] = third;
        sums[from + 3] = fourth;
    }

    private static double refined(double[] d, int lag) {
        double bend = d[lag - 1] - 2 * d[lag] + d[lag + 1];
        return bend <= 0 ? lag : lag + 0.5 * (d[lag - 1] - d[lag + 1]) / bend;
    }

    /** Every n-th sample after a raised-cosine low pass of 4n+1 taps. */
    private static float[] thinned(float[] in, int every) {
        int reach = 2 * every;
        float[] taps = new float[2 * reach + 1];
        float sum = 0;
        for (int i = -reach; i <= reach; i++) {
            double t = i / (double) every;
            double sinc = i == 0 ? 1 : Math.sin(Math.PI * t) / (Math.PI * t);
            taps[i + reach] = (float) (sinc * (0.5 + 0.5 * Math.cos(Math.PI * i / (reach + 1.0))));
            sum += taps[i + reach];
        }
        float[] out = new float[in.length / every];
        for (int o = 0; o < out.length; o++) {
            float value = 0;
            int centre = o * every;
            for (int t = Math.max(-reach, -centre); t <= reach && centre + t < in.length; t++) {
                value += in[centre + t] * taps[t + reach];
            }
            out[o] = value / sum;
        }
        return out;
    }

    private static double loudestFrame(float[] x, int window) {
        double most = 0;
        for (int at = 0; at + window <= x.length; at += window) {
            most = Math.max(most, energy(x, at, window));
        }
        return most;
    }

    private static double energy(float[] x, int at, int window) {
        double sum = 0;
        for (int i = at; i < at + window; i++) {
            sum += x[i] * x[i];
        }
        return sum;
    }
}
